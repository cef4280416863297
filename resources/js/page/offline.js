import { account, clock, when } from './account.js'
import { isPending, network, retry } from './acts.js'
import { here, isDone } from './deliver.js'
import * as pages from './pages.js'
import { isSaid, say, unsay } from './says.js'
import { signInHere } from './signIn.js'
import { giveBack, letGo, offer, offered, putBack } from './typed.js'
import * as waiting from './waiting.js'

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
    document.addEventListener('nekto:all-sent', ({ detail }) => sayBack(detail))
    document.addEventListener('nekto:offers', sayOffers)
    document.addEventListener('nekto:shown', sayOffers) // another page may be shown in place
    document.addEventListener('nekto:answered', drawWaiting)
    document.addEventListener('nekto:not-kept', () => say({ id: 'not-kept', kind: 'error', lead: 'This browser keeps nothing just now', text: '(its storage is full, or not allowed). What you type lasts as long as this page.' }))
    addEventListener('pagehide', writePage)
    const seen = document.documentElement.dataset.seen
    if (seen) { // the service worker drew it from what it keeps
        network.seen = Date.parse(seen)
        location.pathname === '/share' && takeShared()
        retry()
    }
    if (account() !== '') {
        waiting.all(account()).then((acts) => acts.length > 0 && retry())
    }
    sayOffers()
    drawWaiting()
    register()
}

/** What waits, as it is called: lines where it was caught, things where something else is among it. */
function amount(acts) {
    const lines = acts.flatMap((act) => textOf(act).split('\n').filter((line) => line.trim() !== ''))
    const [count, word] = acts.every((act) => textOf(act) !== '') ? [lines.length, 'line'] : [acts.length, 'thing']
    return { count, words: count === 1 ? `one ${word}` : `${count} ${word}s` }
}

const capital = (text) => text.charAt(0).toUpperCase() + text.slice(1)

async function sayNetwork(before) {
    const { count, words } = amount(await waiting.all(account()))
    document.documentElement.classList.toggle('away', network.state !== 'here')
    if (network.state === 'away') {
        const waits = count === 0 ? 'what you type is kept' : `${words} ${count === 1 ? 'waits' : 'wait'} to be sent`
        say({ id: 'network', kind: 'away', lead: 'Away from the network.', text: `Last seen ${when(network.seen)}; ${waits}.`, actions: [{ label: 'Try now', act: retry }] })
    } else if (network.state === 'closed') {
        say({ id: 'network', kind: 'closed', lead: `Signed out at ${clock(network.since)} on this device.`, text: 'What you type is kept until you sign in.', actions: [{ label: 'Sign in here', act: signInHere }] })
    } else {
        unsay('network')
        unsay('not-now')
        before === 'away' && count === 0 && !isSaid('back') && say({ id: 'back', kind: 'back', lead: `Back since ${clock(Date.now())}.`, text: 'Nothing was lost.', isBare: true })
    }
}

function sayBack(sent) {
    say({ id: 'back', kind: 'back', lead: `Back since ${clock(Date.now())}.`, text: `${capital(amount(sent).words)} sent.`, isBare: true })
    drawWaiting()
    document.dispatchEvent(new CustomEvent('nekto:refresh'))
}

/** What another application shared without a network: Gather is shown as it was seen last, and the words wait in its entry. */
function takeShared() {
    const asked = new URLSearchParams(location.search)
    const words = [...new Set(['title', 'text', 'url'].map((name) => asked.get(name)?.trim() ?? '').filter(Boolean))].join(' ')
    const field = document.querySelector('#entry textarea') ?? document.getElementById('catch')
    words !== '' && field && giveBack(field, words)
}

/** What waited, or was left over, and was refused in the end is not lost: it is offered with the reason. */
function judge({ act, outcome }) {
    if (isDone(outcome)) {
        document.dispatchEvent(new CustomEvent('nekto:stored', { detail: act }))
        return
    }
    const reason = outcome.kind === 'arrived' ? refusal(outcome.text) : outcome.kind === 'refused' ? 'it could not be done' : 'Nekto could not be reached'
    say({ id: `late ${act.key}`, kind: 'error', lead: 'Could not be done later:', text: `“${act.words}”: ${reason}`, close: () => {} })
    textOf(act) !== '' && offer('late', textOf(act), act.at)
}

const textOf = (act) => act.fields.filter(([name]) => act.texts?.includes(name)).map(([, value]) => value).join('\n')

/** In words why an answer refuses what was sent. */
const refusal = (text) => new DOMParser().parseFromString(text, 'text/html').getElementById('page')?.dataset.refused || 'it was refused'

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
        giveBack(catching, entry.text)
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
    text !== '' && (field ? giveBack(field, text) : offer('back', text, act.at))
    document.dispatchEvent(new CustomEvent('nekto:took-back', { detail: act }))
    sayNetwork(network.state)
    drawWaiting()
}

/** Remembers the page as it was drawn last, for when there is no network. */
export function keepPage(text) {
    if (pages.isKept(location)) {
        latest = { path: location.pathname, text }
        clearTimeout(timer)
        timer = setTimeout(writePage, 5000)
    }
}

function writePage() {
    latest && pages.keep(latest.path, latest.text)
    latest = null
}

export function forgetPages() {
    clearTimeout(timer)
    latest = null
    return pages.forget()
}

async function register() {
    if (!('serviceWorker' in navigator)) {
        return
    }
    try {
        await navigator.serviceWorker.register('/sw.js')
        if (account() === '') {
            location.pathname === '/sign-in' && (await here()).closed && forgetPages()
        } else if (!navigator.serviceWorker.controller && pages.isKept(location)) { // the first time nobody was there yet to keep this page
            const response = await fetch(location.pathname, { credentials: 'same-origin', headers: { Accept: 'text/html', 'X-By-Itself': '1' } })
            response.ok && keepPage(await response.text())
        }
    } catch {
        // private windows may forbid it
    }
}
