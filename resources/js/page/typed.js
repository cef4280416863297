import { account, nameAnew, windowName } from './account.js'

/*
 * What a person has typed is theirs until it was stored or they throw it away. A field they changed is not written into
 * by anything else, and its text is kept by the browser under the field's name: it survives the page, the session and the
 * window. What it was typed into may be gone by then; then it is offered.
 *
 * A kept text: { key, path, text, title, at, account }
 */

const PLACE = 'nekto-typed'

const DAYS = 14

const place = () => `${PLACE}:${windowName()}`

/** Milliseconds after the last letter; a page that is left keeps at once. */
const REST = 120

const TEXTS = 'textarea, input:not([type]), input[type=text], input[type=search], input[type=email], input[type=url], input[type=number], input[type=date], input[type=time]'

const ANY = 'textarea, select, input:not([type=hidden], [type=file], [type=submit], [type=button])'

/** Field to key, of fields the person has changed. */
const changed = new Map()

/** Kept texts of this window by key. */
let kept = new Map()

/** Kept texts whose field is not here; of windows that are closed too. */
let offers = []

/** What other accounts have left in this window: not shown, not touched. */
let foreign = []

let timer = null

let isForbidden = false

/** The same field on the page drawn anew, after a reload, in another window. */
export function keyOf(field) {
    if (field.id === 'catch') {
        return 'catch' // the same on every page
    }
    const form = field.form
    const name = `${form?.id || form?.getAttribute('action') || ''}#${field.name}`
    const many = field.type === 'checkbox' || field.type === 'radio'
    return `${location.pathname} ${name}${many ? `=${field.value}` : ''}`
}

export const isChanged = (field) => changed.has(field)

/** Whether the person has text in a field that is nowhere else yet. */
export const hasChanges = () => [...changed.keys()].some((field) => field.isConnected && field.matches(TEXTS))

export const offered = () => offers

function isOwn(field) {
    return account() !== '' && field.matches?.(ANY) && field.name && !field.closest('[data-not-kept], dialog') && field.type !== 'password'
}

export function listenForTyping() {
    document.addEventListener('input', ({ target }) => isOwn(target) && mark(target))
    document.addEventListener('change', ({ target }) => isOwn(target) && !target.matches(TEXTS) && mark(target))
    addEventListener('pagehide', keep)
    document.addEventListener('nekto:stored', ({ detail }) => settleElsewhere(detail.holds ?? []))
    document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && keep())
    load()
}

/** What the page is of; of a task its name, which can be written over in place. */
function heading() {
    const title = document.querySelector('h1')
    return title?.querySelector('textarea')?.defaultValue ?? title?.textContent.trim() ?? document.title
}

function mark(field) {
    const key = keyOf(field)
    changed.set(field, key)
    if (!field.matches(TEXTS) || field.form?.method === 'get') { // a question asked is nothing to be stored
        return
    }
    if (field.value.trim() === '' && field.defaultValue.trim() === '') { // emptied by hand: thrown away
        changed.delete(field)
        kept.delete(key)
    } else {
        kept.set(key, { key, path: location.pathname, text: field.value, title: heading(), at: Date.now(), account: account() })
    }
    clearTimeout(timer)
    timer = setTimeout(keep, REST)
}

/** What a form holds of the person's, as it is sent. Its fields stay theirs until settle(). */
export function held(form) {
    return [...changed].filter(([field]) => field.form === form && field.isConnected).map(([field, key]) => ({ field, key, value: valueOf(field) }))
}

const valueOf = (field) => (field.matches('[type=checkbox], [type=radio]') ? field.checked : field.value)

/** It was stored: what has not been changed once more is the page's again. */
export function settle(holding) {
    for (const { field, key, value } of holding) {
        if (field && (!field.isConnected || valueOf(field) === value)) {
            changed.delete(field)
        }
        if (kept.get(key)?.text === value) {
            kept.delete(key)
        }
    }
    keep()
}

/** A page that was left had sent it, and it was stored. */
function settleElsewhere(holds) {
    settle(holds)
    offers = offers.filter((entry) => !holds.some(({ key, value }) => key === entry.key && value === entry.text))
    document.dispatchEvent(new CustomEvent('nekto:offers'))
}

/** The field gives its text away at once, as a caught line; it comes back by giveBack(). */
export function takeOut(holding) {
    for (const { field, key } of holding) {
        changed.delete(field)
        kept.delete(key)
    }
    keep()
}

/** Text that could not be stored goes into its field again, or is offered where that is in use or gone. */
export function giveBack(field, text) {
    if (field.isConnected && field.value === '') {
        field.value = field.matches('textarea') ? text : text.replace(/\s*\n\s*/g, ' ')
        mark(field)
        field.dispatchEvent(new Event('input', { bubbles: true }))
        return true
    }
    offer('given', text, Date.now())
    return false
}

/** A text whose field is not to be had: offered on every page. */
export function offer(why, text, at) {
    lay({ key: `${why} ${at} ${Math.random()}`, path: location.pathname, text, title: '', at, account: account() })
}

function lay(entry) {
    offers.push(entry)
    kept.set(entry.key, entry)
    keep()
    document.dispatchEvent(new CustomEvent('nekto:offers'))
}

export function letGo(entry) {
    offers = offers.filter(({ key }) => key !== entry.key)
    kept.delete(entry.key)
    keep()
    document.dispatchEvent(new CustomEvent('nekto:offers'))
}

/** Puts an offered text back into its field. False if that is not here. */
export function putBack(entry) {
    const field = find(entry.key)
    if (!field) {
        return false
    }
    field.closest('details')?.setAttribute('open', '')
    field.value = entry.text
    offers = offers.filter(({ key }) => key !== entry.key)
    mark(field)
    field.dispatchEvent(new Event('input', { bubbles: true }))
    field.focus()
    document.dispatchEvent(new CustomEvent('nekto:offers'))
    return true
}

/** Whether a morph may write into a field. */
export function mayWrite(old, fresh) {
    return !changed.has(old) || (fresh && keyOf(fresh) !== changed.get(old))
}

/** After the page was drawn anew: a changed field that was replaced has its text again; one that is gone offers it. */
export function followFields() {
    for (const [field, key] of [...changed]) {
        if (field.isConnected && keyOf(field) === key) {
            continue
        }
        changed.delete(field)
        const other = field.matches(TEXTS) ? find(key) : null
        const entry = kept.get(key)
        if (other && entry && other.value !== entry.text) {
            other.value = entry.text
            changed.set(other, key)
        } else if (!other && entry && !offers.includes(entry)) {
            lay(entry)
        }
    }
}

function find(key) {
    return [...document.querySelectorAll(TEXTS)].find((field) => isOwn(field) && keyOf(field) === key) ?? null
}

/** Writes what was typed into the browser's storage. */
function keep() {
    clearTimeout(timer)
    const mine = [...kept.values(), ...foreign]
    try {
        mine.length === 0 ? localStorage.removeItem(place()) : localStorage.setItem(place(), JSON.stringify(mine))
        isForbidden = false
    } catch {
        if (!isForbidden) {
            isForbidden = true
            document.dispatchEvent(new CustomEvent('nekto:not-kept')) // full, or not allowed: what is typed lasts as long as the page
        }
    }
}

/** What this window had typed before the page was loaded again, and what windows that are closed have left. */
function load() {
    const kind = performance.getEntriesByType('navigation')[0]?.type
    const stays = ['reload', 'back_forward'].includes(kind) || (document.referrer !== '' && new URL(document.referrer).pathname === location.pathname)
    const entries = read(place())
    foreign = entries.filter((entry) => entry.account !== account())
    for (const entry of entries.filter((entry) => entry.account === account())) {
        kept.set(entry.key, entry)
        const field = find(entry.key)
        if (field && (stays || entry.key === 'catch') && field.value !== entry.text) {
            field.value = entry.text
            changed.set(field, entry.key)
            field.dispatchEvent(new Event('input', { bubbles: true }))
        } else if (field && field.value === entry.text) {
            field.defaultValue === entry.text ? kept.delete(entry.key) : changed.set(field, entry.key)
        } else {
            offers.push(entry)
        }
    }
    const given = document.querySelector('[data-given]') // shared by another application: as good as typed
    given && isOwn(given) && mark(given)
    claimName().then(adopt)
}

/** Held as long as the window is open: so the others know that it lives. */
async function claimName() {
    if (!navigator.locks) {
        return
    }
    await new Promise((claimed) => navigator.locks.request(`nekto-window:${windowName()}`, { ifAvailable: true }, (lock) => {
        if (lock === null) { // the copy of a window has its texts from now on under a name of its own
            nameAnew()
            navigator.locks.request(`nekto-window:${windowName()}`, () => new Promise(() => {}))
        }
        claimed()
        return lock && new Promise(() => {})
    }))
}

/** Texts of windows that are closed become this one's. */
async function adopt() {
    const living = new Set(((await navigator.locks?.query())?.held ?? []).map(({ name }) => name))
    try {
        for (const other of Object.keys(localStorage).filter((one) => one.startsWith(`${PLACE}:`) && one !== place())) {
            if (living.has(`nekto-window:${other.slice(PLACE.length + 1)}`)) {
                continue
            }
            const entries = read(other)
            for (const entry of entries.filter((one) => one.account === account() && !kept.has(one.key))) {
                kept.set(entry.key, entry)
                offers.push(entry)
            }
            foreign.push(...entries.filter((one) => one.account !== account()))
            localStorage.removeItem(other)
        }
    } catch {
        return // the browser keeps nothing
    }
    keep()
    document.dispatchEvent(new CustomEvent('nekto:offers'))
}

function read(from) {
    try {
        const since = Date.now() - DAYS * 86_400_000
        return (JSON.parse(localStorage.getItem(from)) ?? []).filter((entry) => typeof entry.text === 'string' && entry.at > since)
    } catch {
        return []
    }
}
