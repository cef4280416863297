/** Pages of the day as they were drawn last, for when there is no network. Kept by pages and by the service worker. */

const CACHE = 'nekto-pages'

const DAY = '/shape'

const KEPT = [DAY, '/gather', '/weigh', '/work', '/close']

/** What another application shares is caught in Gather. */
const STANDS_FOR = { '/share': '/gather' }

export const isKept = ({ pathname, search }) => KEPT.includes(pathname) && search === ''

/** Keeps a page; one of nobody, as the sign-in, is none of the day's. */
export async function keep(path, text) {
    if (!/<div id="page"[^>]* data-account="\d+"/.test(text)) {
        return
    }
    try {
        await (await caches.open(CACHE)).put(path, new Response(text, { headers: { 'Content-Type': 'text/html; charset=utf-8', 'X-Seen': new Date().toISOString() } }))
    } catch {
        // no room, or not allowed: without a network there is the page before it, or none
    }
}

/** The page as it was drawn last, or the day; it says itself as of when. Null if nothing was kept. */
export async function lastSeen(path) {
    const cache = await caches.open(CACHE).catch(() => null)
    const kept = (await cache?.match(STANDS_FOR[path] ?? path)) ?? (await cache?.match(DAY))
    if (!kept) {
        return null
    }
    const text = (await kept.text()).replace('<html ', `<html data-seen="${kept.headers.get('X-Seen')}" `)
    return new Response(text, { headers: { 'Content-Type': 'text/html; charset=utf-8' } })
}

/** Nobody else sees here what this account saw. */
export async function forget() {
    try {
        await caches.delete(CACHE)
    } catch {
        // there are none
    }
}
