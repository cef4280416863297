import { account, clock, when } from './account.js'
import { isPending, network, retry, sendWaiting } from './acts.js'
import { here } from './deliver.js'
import { say, unsay } from './says.js'
import { giveBack, letGo, offer, offered, putBack } from './typed.js'
import { signInHere } from './signIn.js'
import * as waiting from './waiting.js'

/** Pages of the day that can be opened without a network. */
const KEPT = ['/shape', '/gather', '/weigh', '/work', '/close']

export const PAGES = 'nekto-pages'

let latest = null
let timer = null

/** Says what waits and why, keeps the pages of the day, and brings what waits to the server when it can be reached. */
export function listenForAway() {
    document.addEventListener('nekto:network', ({ detail }) => sayNetwork(detail.before))
    document.addEventListener('nekto:waits', () => {
        sayNetwork(network.state)
        drawWaiting()
        navigator.serviceWorker?.ready.then((worker) => worker.sync?.register('nekto-acts')).catch(() => {}) // where the browser can, it is sent though every window be closed
    })
    document.addEventListener('nekto:sent', ({ detail }) => judge(detail))
    document.addEventListener('nekto:all-sent', ({ detail }) => sayBack(detail.count))
    document.addEventListener('nekto:offers', sayOffers)
    document.addEventListener('nekto:shown', sayOffers) // another page may be shown in place
    document.addEventListener('nekto:answered', drawWaiting)
    document.addEventListener('nekto:not-kept', () => say({ id: 'not-kept', kind: 'error', lead: 'This browser keeps nothing just now', text: '(its storage is full, or not allowed). What you type lasts as long as this page.' }))
    addEventListener('pagehide', writePage)
    const seen = document.documentElement.dataset.seen
    if (seen) { // the service worker drew it from what it keeps
        network.seen = Date.parse(seen)
        retry()
    }
    if (account() !== '') {
        waiting.all(account()).then((acts) => acts.length > 0 && retry())
    }
    sayOffers()
    drawWaiting()
    register()
}

async function sayNetwork(before) {
    const count = (await waiting.all(account())).length
    document.documentElement.classList.toggle('away', network.state !== 'here')
    const waits = count === 0 ? 'What you type is kept.' : count === 1 ? 'One line waits to be sent.' : `${count} lines wait to be sent.`
    if (network.state === 'away') {
        say({ id: 'network', kind: 'away', lead: 'Away from the network.', text: `Last seen ${when(network.seen)}; ${waits.charAt(0).toLowerCase()}${waits.slice(1)}`, actions: [{ label: 'Try now', act: retry }] })
    } else if (network.state === 'closed') {
        say({ id: 'network', kind: 'closed', lead: `Signed out at ${clock(network.since)} on this device.`, text: 'What you type is kept until you sign in.', actions: [{ label: 'Sign in here', act: signInHere }] })
    } else {
        unsay('network')
        unsay('not-now')
        before === 'away' && count === 0 && !document.getElementById('back') && say({ id: 'back', kind: 'back', lead: `Back since ${clock(Date.now())}.`, text: 'Nothing was lost.', isBare: true })
    }
}

function sayBack(count) {
    say({ id: 'back', kind: 'back', lead: `Back since ${clock(Date.now())}.`, text: `${count === 1 ? 'One line' : `${count} lines`} sent.`, isBare: true })
    drawWaiting()
    document.dispatchEvent(new CustomEvent('nekto:refresh'))
}

/** What waited and was refused in the end is not lost: it is offered with the reason. */
function judge({ act, outcome }) {
    const reason = outcome.kind === 'refused' ? 'it could not be done' : outcome.kind === 'arrived' ? refusal(outcome.text) : null
    if (reason === null) {
        document.dispatchEvent(new CustomEvent('nekto:stored', { detail: act }))
    }
    const text = textOf(act)
    if (reason !== null) {
        say({ id: `late ${act.key}`, kind: 'error', lead: 'Could not be done later:', text: `“${act.words}”: ${reason}`, close: () => {} })
        text !== '' && offer({ key: `late ${act.key}`, path: '/gather', text, label: act.words, title: '', at: act.at, account: account(), window: '' })
    }
}

const textOf = (act) => act.fields.filter(([name]) => act.texts?.includes(name)).map(([, value]) => value).join('\n')

/** In words why an answer refuses what was sent; null if it does not. */
export function refusal(text) {
    const page = new DOMParser().parseFromString(text, 'text/html')
    return page.getElementById('page')?.hasAttribute('data-refused') ? page.getElementById('page').dataset.refused || page.querySelector('.error, .warning')?.textContent.trim() || 'it was refused' : null
}

/** Kept texts are offered where they belong; in Gather all of them, and everywhere what could not be stored. */
function sayOffers() {
    const here = offered().filter(({ key, path }) => path === location.pathname || location.pathname === '/gather' || /^(given|late|back) /.test(key)).toReversed()
    const [first] = here
    if (!first) {
        unsay('typed')
        return
    }
    const words = first.text.trim().replace(/\s+/g, ' ')
    const isHere = first.path === location.pathname
    say({
        id: 'typed', kind: 'typed', lead: isHere ? `Typed here ${when(first.at)}, not kept:` : `Typed ${when(first.at)}${first.title ? ` at ${first.title}` : ''}, not kept:`,
        text: `“${words.length > 60 ? `${words.slice(0, 60)} …` : words}”${here.length > 1 ? ` and ${here.length - 1} more` : ''}`,
        actions: [
            { label: isHere ? 'Put it back' : 'Go there', isOver: true, act: () => (isHere && putBack(first)) || elsewhere(first) },
            { label: 'Let it go', act: () => letGo(first) },
        ],
    })
}

/** On its own page it is offered there; where its field is no more, it goes into the field in which thoughts are caught. */
function elsewhere(entry) {
    if (entry.path && entry.path !== location.pathname) {
        location.assign(entry.path)
        return
    }
    const catching = document.getElementById('catch')
    if (catching) {
        letGo(entry)
        giveBack(catching, entry.text.replace(/\s*\n\s*/g, ' '))
        catching.focus()
    }
}

/** Lines that wait, where the inbox is. */
async function drawWaiting() {
    const place = document.getElementById('waiting-here')
    if (!place) {
        return
    }
    const acts = isPending() && network.state === 'here' ? [] : await waiting.all(account())
    place.hidden = acts.length === 0
    place.replaceChildren()
    if (acts.length === 0) {
        return
    }
    const head = document.createElement('div')
    head.className = 'section-head'
    const title = document.createElement('h2')
    title.textContent = 'Waits to be sent'
    const count = document.createElement('span')
    count.className = 'soft'
    count.textContent = `${acts.length}, kept on this device`
    head.append(title, count)
    const list = document.createElement('ul')
    list.className = 'inbox'
    list.append(...acts.map((act) => {
        const row = document.createElement('li')
        row.className = 'waits'
        const at = document.createElement('span')
        at.className = 'when soft'
        at.textContent = clock(act.at)
        const what = document.createElement('span')
        what.className = 'what'
        what.textContent = act.words
        const back = document.createElement('button')
        back.type = 'button'
        back.className = 'button button-bare'
        back.textContent = 'Take it back'
        back.setAttribute('aria-label', `Take back: ${act.words}`)
        back.addEventListener('click', () => takeBack(act))
        row.append(at, what, back)
        return row
    }))
    place.append(head, list)
}

/** Undo of what waits: it is not sent, and its text is in its field again. */
export async function takeLastBack() {
    const acts = await waiting.all(account())
    acts.length > 0 ? await takeBack(acts.at(-1)) : say({ id: 'said', kind: 'answer', text: 'Nothing waits here; what has arrived is undone when the network is back.' })
}

async function takeBack(act) {
    await waiting.remove(act.id)
    const text = textOf(act)
    const field = document.querySelector('#entry textarea') ?? document.getElementById('catch')
    text !== '' && (field ? giveBack(field, text) : offer({ key: `back ${act.key}`, path: '/gather', text, label: act.words, title: '', at: act.at, account: account(), window: '' }))
    document.dispatchEvent(new CustomEvent('nekto:took-back', { detail: act }))
    sayNetwork(network.state)
    drawWaiting()
}

/** Remembers the page as it was drawn last, for when there is no network. */
export function keepPage(text) {
    if (account() !== '' && KEPT.includes(location.pathname) && location.search === '') {
        latest = { path: location.pathname, text }
        clearTimeout(timer)
        timer = setTimeout(writePage, 5000)
    }
}

async function writePage() {
    const page = latest
    latest = null
    if (!page || typeof caches === 'undefined') {
        return
    }
    try {
        const cache = await caches.open(PAGES)
        await cache.put(page.path, new Response(page.text, { headers: { 'Content-Type': 'text/html; charset=utf-8', 'X-Seen': new Date().toISOString(), 'X-Account': account() } }))
    } catch {
        // no room: without a network there is the page before it, or none
    }
}

/** Nobody else sees here what this account saw. */
export async function forgetPages() {
    clearTimeout(timer)
    latest = null
    try {
        await caches.delete(PAGES)
    } catch {
        // there are none
    }
}

async function register() {
    if (!('serviceWorker' in navigator)) {
        return
    }
    try {
        await navigator.serviceWorker.register('/sw.js')
        navigator.serviceWorker.addEventListener('message', ({ data }) => data === 'send' && sendWaiting())
        if (account() === '') {
            location.pathname === '/sign-in' && (await here()).closed && forgetPages()
        } else if (!navigator.serviceWorker.controller && KEPT.includes(location.pathname)) { // the first time nobody was there yet to keep this page
            const response = await fetch(location.pathname, { credentials: 'same-origin', headers: { Accept: 'text/html', 'X-By-Itself': '1' } })
            response.ok && keepPage(await response.text())
        }
    } catch {
        // private windows may forbid it
    }
}
