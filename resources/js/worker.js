import { deliver, here, isDone, isDown, waitsOn } from './page/deliver.js'
import * as pages from './page/pages.js'
import * as waiting from './page/waiting.js'

/*
 * The service worker: keeps what the application is made of, opens the day as it was seen last when there is no network,
 * and sends what waits when the browser tells it that there is one, even if no window is open. Whatever else a page asks
 * for goes straight to the server.
 */

const ASSETS = 'nekto-assets'

/** More assets than two builds have: those of older ones are let go. */
const MOST = 80

self.addEventListener('install', (event) => {
    event.waitUntil(keepAssets().then(() => self.skipWaiting()))
})

self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
    const { request } = event
    const address = new URL(request.url)
    if (request.method !== 'GET' || address.origin !== location.origin) {
        return
    }
    if (address.pathname.startsWith('/build/') || /^\/icon[\w-]*\.(svg|png)$/.test(address.pathname)) {
        event.respondWith(asset(request))
    } else if (request.mode === 'navigate') {
        event.respondWith(page(request, address))
    }
})

self.addEventListener('sync', (event) => event.tag === 'nekto-acts' && event.waitUntil(send()))

async function keepAssets() {
    try {
        const cache = await caches.open(ASSETS)
        const manifest = await (await fetch('/build/manifest.json')).json()
        const files = new Set(Object.values(manifest).flatMap(({ file, css = [], assets = [] }) => [file, ...css, ...assets]))
        await Promise.allSettled([...[...files].map((file) => `/build/${file}`), '/icon.svg'].map(async (file) => (await cache.match(file)) ?? cache.add(file)))
    } catch {
        // no room, or no network: what is used is kept as it comes
    }
}

async function asset(request) {
    const kept = await caches.match(request).catch(() => null)
    if (kept) {
        return kept
    }
    const response = await fetch(request)
    if (response.ok) {
        const copy = response.clone()
        caches.open(ASSETS).then(async (cache) => {
            await cache.put(request, copy)
            const keys = await cache.keys()
            await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST)).map((key) => cache.delete(key)))
        }).catch(() => {})
    }
    return response
}

async function page(request, address) {
    try {
        const response = await fetch(request)
        if (!isDown(response.status)) {
            response.ok && pages.isKept(address) && response.clone().text().then((text) => pages.keep(address.pathname, text))
            return response
        }
    } catch {
        // no network, or the server is down
    }
    return (await pages.lastSeen(address.pathname)) ?? nothingSeen()
}

function nothingSeen() {
    const words = '<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Away · Nekto</title><h1>Away from the network</h1><p>Nothing of your day is kept on this device yet. Open this page again when the network is back.</p>'
    return new Response(words, { status: 503, headers: { 'Content-Type': 'text/html; charset=utf-8' } })
}

/** With no window open; one that is open sends by itself, and only one of all at a time. */
async function send() {
    const now = await here()
    if (now.away) {
        throw new Error('Not yet.') // the browser tries again
    }
    await navigator.locks.request('nekto-acts', async () => {
        for (const act of now.account ? await waiting.all(now.account) : []) {
            const outcome = await deliver(act, now.token)
            if (waitsOn(outcome)) {
                throw new Error('Not yet.')
            }
            if (!isDone(outcome)) {
                return // a window will say why
            }
            await waiting.remove(act.id)
        }
    })
}
