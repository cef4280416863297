import { Idiomorph } from 'idiomorph'
import { readClock, setToken, token } from './account.js'
import { inTurn, isPending, note, settled } from './acts.js'
import { isDown } from './deliver.js'
import { keepPage } from './offline.js'
import { hear, say } from './says.js'
import { followFields, isChanged, mayWrite } from './typed.js'

/*
 * The server draws every page whole; what differs is changed in place: focus, scroll, open menus and typed text stay.
 * Without this script forms and links work as ever.
 */

/** Rows that have left by the person's hand, before the answer: not drawn again until it comes. Id to the key of the act. */
const gone = new Map()

/** The answer that was offered last: a new one gets the focus, so that Enter takes it. */
let offered = null

/** The address whose page this is. */
let shownAt = location.pathname + location.search

/** What asked by itself is not shown if a person did something meanwhile. */
let turn = 0

/** Shows the page at an address. Resolves to whether it could. */
export function visit(address) {
    turn++
    return inTurn(() => showAt(address))
}

async function showAt(address) {
    try {
        const response = await fetch(address, { credentials: 'same-origin', headers: { Accept: 'text/html' } })
        note(isDown(response.status) ? 'away' : 'arrived')
        return show(response, await response.text())
    } catch {
        note('away')
        say({ id: 'not-now', kind: 'away', text: 'Nekto cannot be reached just now: that page has to wait. Nothing was lost.' })
        return false
    }
}

/** Shows the same page as it is now, unless something of the person's is on its way. */
export async function refresh() {
    const began = turn
    if (isPending() || document.querySelector('.consequence')) { // what a change would do stands there until it is answered
        return false
    }
    try {
        const response = await fetch(location.href, { credentials: 'same-origin', headers: { Accept: 'text/html', 'X-By-Itself': '1' } }) // nobody is at the window for that
        const text = await response.text()
        if (response.redirected && new URL(response.url).pathname === '/sign-in') {
            note('closed')
            return false
        }
        return began === turn && !isPending() && response.ok && put(read(text), text)
    } catch {
        return false
    }
}

/** A page as the server drew it, without what is only for browsers without scripts: read so, it would be there too. */
function read(text) {
    const page = new DOMParser().parseFromString(text, 'text/html')
    page.querySelectorAll('noscript').forEach((one) => one.remove())
    return page
}

export function begin() {
    turn++
}

/** The form whose answer is being shown: what it says of the text that stands there now, the person has read. */
let answered = null

/** Shows an answer. Where it is no page of ours, the browser goes there. */
export function show(response, text, form = null) {
    const page = read(text)
    if (!page.getElementById('page') || (response.redirected && new URL(response.url).pathname === '/sign-in')) {
        location.assign(response.url)
        return false
    }
    const isElsewhere = new URL(response.url).pathname !== location.pathname
    history[isElsewhere ? 'pushState' : 'replaceState'](null, '', response.url)
    answered = form
    put(page, text)
    answered = null
    return true
}

function put(page, text) {
    writable = new WeakSet()
    const before = document.activeElement?.id
    const said = page.getElementById('says')
    document.documentElement.dataset.theme = page.documentElement.dataset.theme
    Object.assign(document.body.dataset, page.body.dataset)
    document.body.className = page.body.className
    document.title = page.title
    const fresh = page.querySelector('meta[name=csrf-token]')?.content
    Idiomorph.morph(document.getElementById('page'), page.getElementById('page'), {
        morphStyle: 'outerHTML',
        callbacks: { beforeNodeMorphed, beforeAttributeUpdated },
    })
    fresh && setToken(fresh)
    readClock()
    followFields()
    hear(said)
    offer()
    if (before && document.activeElement === document.body) {
        document.getElementById(before)?.focus({ preventScroll: true })
    }
    shownAt = location.pathname + location.search
    keepPage(text)
    document.dispatchEvent(new CustomEvent('nekto:shown'))
    return true
}

/** Fields whose new self on the page belongs to something else: their text is not theirs any more. */
let writable = new WeakSet()

function beforeNodeMorphed(old, fresh) {
    if (old.nodeType !== 1) {
        return
    }
    if (old.hasAttribute('data-own') || old.hasAttribute('x-text') || (gone.has(old.id) && old.id !== '')) {
        return false // what scripts have written there, and what has left
    }
    const isBeingSet = old === document.activeElement && old.matches('[type=date], [type=time]') && old.value === '' // a half typed date has no value yet
    if (old.matches('input, textarea, select') && mayWrite(old, fresh) && !isBeingSet) {
        writable.add(old)
    }
}

function beforeAttributeUpdated(name, element, type) {
    if (['value', 'checked', 'selected'].includes(name)) {
        const field = element.closest('select') ?? element
        if (!field.matches('input, textarea, select')) {
            return true // a button's
        }
        const isEntry = field.matches('[name=refused], [name=proposed]') && field.closest('[x-data=entry]') // what was refused belongs to the text; all else hidden is the page's
        const over = field.name?.endsWith('_was') ? field.form?.elements[field.name.slice(0, -4)] : null
        return !isEntry && (field.matches('[type=hidden]') ? !over || !isChanged(over) || field.form === answered : writable.has(field))
    }
    return name !== 'open' || type !== 'remove' // an open menu stays open
}

/** A row that a person sent away leaves at once, by the key of its act. */
export function leave(row, key) {
    gone.set(row.id, key)
    row.setAttribute('data-gone', '')
}

/** Its act was done: where the row is drawn once more, it is there. */
export function settleRow(key) {
    for (const [id, by] of gone) {
        by === key && gone.delete(id)
    }
}

/** It could not be sent away, or was taken back. */
export function comeBack(key) {
    for (const [id, by] of gone) {
        by === key && document.getElementById(id)?.removeAttribute('data-gone')
    }
    settleRow(key)
}

export function listenForPages() {
    addEventListener('popstate', () => location.pathname + location.search !== shownAt && inTurn(() => showAt(location.href))) // not for a place within the page

    document.addEventListener('nekto:sent', ({ detail }) => settleRow(detail.act.key))
    document.addEventListener('nekto:took-back', ({ detail }) => comeBack(detail.key))
    document.addEventListener('nekto:refresh', () => settled().then(refresh)) // asked for within a turn, as a rule
}

/** What the page offers to take next has the focus once it is new: Enter takes it. */
export function offer() {
    const first = document.querySelector('[data-first]')
    const step = first && first.textContent + first.getAttribute('href')
    if (first && step !== offered && !document.activeElement?.matches('input, textarea, select')) {
        first.focus({ preventScroll: true })
    }
    offered = step
}

/** Asks beside the page: the answer is data, nothing is shown by itself. */
export async function ask(address, values) {
    const data = new FormData()
    data.set('_token', token())
    for (const [name, value] of Object.entries(values)) {
        data.set(name, value)
    }
    const response = await fetch(address, { method: 'POST', body: data, credentials: 'same-origin', headers: { Accept: 'application/json' } })
    if (response.status === 422) {
        return { refused: Object.values((await response.json()).errors)[0][0] }
    }
    return response.ok ? response.json() : null
}
