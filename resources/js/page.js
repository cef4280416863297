import Alpine from '@alpinejs/csp'
import { chime } from './sound.js'

/*
 * The server draws every page whole. A form that is sent, or a link of the same page, brings the new page, and only what
 * differs is changed in place: focus, scroll and typed text stay. Without this script forms and links work as ever.
 */

let latest = 0

/** The answer that was offered last: a new one gets the focus, so that Enter takes it. */
let offered = null

/** Questions and changes whose answer has not come yet. */
let open = 0

/** Shows the page at an address, or what a form's answer leads to. Resolves to false if something newer was asked for. */
export async function show(address, options = {}) {
    open++
    const long = setTimeout(() => document.documentElement.classList.add('asking'), 300)
    try {
        return await showWhenAnswered(address, options)
    } finally {
        open--
        clearTimeout(long)
        document.documentElement.classList.toggle('asking', open > 0)
    }
}

/** Shows the same page as it is now, unless something else is on its way: its answer must not be lost to this one. */
export async function refresh() {
    return open === 0 && show(location.href, { headers: { 'X-By-Itself': '1' } }) // nobody is at the window for that
}

async function showWhenAnswered(address, options) {
    const turn = ++latest
    let response
    try {
        response = await fetch(address, { credentials: 'same-origin', ...options, headers: { Accept: 'text/html', ...options.headers } })
    } catch {
        say('Nekto cannot be reached just now. Nothing was lost; try again in a moment.')
        return false
    }
    if (turn !== latest) {
        return false
    }
    if (!response.ok && options.method !== undefined) {
        say(response.status === 429 ? 'That was too often in a short time. Wait a minute, then try again.' : 'That could not be done. Nothing was lost; load the page again and repeat it.')
        return false
    }
    const page = new DOMParser().parseFromString(await response.text(), 'text/html').getElementById('page')
    if (!page || response.redirected && new URL(response.url).pathname === '/sign-in') {
        location.assign(page ? response.url : address)
        return false
    }
    if (options.method !== undefined || options.push) {
        history.replaceState(null, '', response.url)
    }
    put(page)
    return true
}

/** Sends a form and shows the answer. */
export function send(form, submitter) {
    'sound' in form.dataset && chime()
    const data = new FormData(form, submitter ?? undefined)
    return show(form.action, { method: 'POST', body: data })
}

/** Sends values that no form holds, as after a drag. */
export function post(address, values) {
    const data = new FormData()
    data.set('_token', document.querySelector('meta[name=csrf-token]').content)
    for (const [name, value] of Object.entries(values)) {
        data.set(name, value)
    }
    return show(address, { method: 'POST', body: data })
}

/** Asks beside the page: the answer is data, nothing is shown by itself. */
export async function ask(address, values) {
    const data = new FormData()
    data.set('_token', document.querySelector('meta[name=csrf-token]').content)
    for (const [name, value] of Object.entries(values)) {
        data.set(name, value)
    }
    const response = await fetch(address, { method: 'POST', body: data, credentials: 'same-origin', headers: { Accept: 'application/json' } })
    if (response.status === 422) {
        return { refused: Object.values((await response.json()).errors)[0][0] }
    }
    return response.ok ? response.json() : null
}

export function listenForForms() {
    document.addEventListener('submit', (event) => {
        const form = event.target
        if ('whole' in form.dataset || event.defaultPrevented) {
            return
        }
        if ((event.submitter?.getAttribute('formmethod') ?? form.method) !== 'post') {
            if (form.closest('.shape')) {
                event.preventDefault()
                const asked = new FormData(form, event.submitter ?? undefined)
                asked.delete('_token')
                show(`${event.submitter?.getAttribute('formaction') ?? form.action}?${new URLSearchParams(asked)}`, { push: true })
            }
            return
        }
        event.preventDefault()
        delete form.querySelector('[data-changed]')?.dataset.changed
        form.closest('details.asks')?.removeAttribute('open') // answered; it opens again if something is wrong with it
        const row = form.closest('[data-list] > *')
        const next = row?.nextElementSibling?.id || row?.previousElementSibling?.id
        send(form, event.submitter).then((shown) => {
            if (shown && 'clear' in form.dataset) {
                clear(form)
            } else if (shown && row && document.activeElement === document.body) {
                const place = document.getElementById(row.id) ?? document.getElementById(next)
                ;(place?.matches('[data-row]') ? place : place?.querySelector('[data-row]'))?.focus()
            }
        })
    })
    document.addEventListener('change', (event) => {
        const form = event.target.closest('form[data-on-change]')
        if (form && document.activeElement === event.target) {
            event.target.dataset.changed = '' // each digit of a date is a change, and Enter sends it anyway: wait until the field is left
        } else if (form) {
            send(form)
        }
    })
    document.addEventListener('focusout', (event) => {
        if (event.target.matches('form[data-on-change] [data-changed]')) {
            delete event.target.dataset.changed
            send(event.target.form)
        }
    })
    document.addEventListener('click', (event) => {
        const link = event.target.closest('a[data-block], a.gauge-piece, a[data-leave], a[data-here]')
        if (link && !event.defaultPrevented && event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey) {
            event.preventDefault()
            show(link.href, { push: true })
        }
        const dialog = event.target.closest('[data-show]')
        if (dialog) {
            document.getElementById(dialog.dataset.show)?.showModal()
        }
    })
    pressOn()
}

/** The plan may have mended itself meanwhile, and the present moves. */
export function refreshEachMinute() {
    if (!document.body.dataset.clock) {
        return
    }
    setInterval(() => {
        const typing = document.activeElement?.matches('input, textarea, select')
        if (document.visibilityState === 'visible' && !typing && !document.querySelector('dialog[open]')) {
            refresh()
        }
    }, 60_000)
}

/** Long work goes on by itself, a step at a time, with its progress shown. */
function pressOn() {
    const form = document.querySelector('form[data-press-on]')
    if (form) {
        send(form).then((shown) => shown && pressOn())
    }
}

function put(page) {
    const before = document.activeElement?.id
    const toast = page.querySelector('#toast')
    document.getElementById('toast')?.remove()
    toast?.remove()
    Alpine.morph(document.getElementById('page'), page, { key: (element) => element.id || undefined, updating: keepTyped })
    if (toast) {
        document.getElementById('page').append(toast)
    }
    offer()
    if (before && document.activeElement === document.body) {
        document.getElementById(before)?.focus({ preventScroll: true })
    }
}

/** What the page offers to take next has the focus once it is new: Enter takes it. */
export function offer() {
    const first = document.querySelector('[data-first]')
    const step = first && first.textContent + first.getAttribute('href')
    if (first && step !== offered) {
        first.focus({ preventScroll: true })
    }
    offered = step
}

/** A field in which someone is typing is left alone, and an open menu stays open. */
function keepTyped(element, to, childrenOnly, skip) {
    if (element.nodeType !== 1) {
        return
    }
    if (element === document.activeElement && element.matches('textarea') && element.value !== '') {
        skip()
    } else if (element.matches('input, textarea') && !element.matches('[type=hidden], [type=checkbox]')) {
        element.value = to.value
    } else if (element.matches('input[type=hidden]') && !element.closest('[x-data=entry]')) {
        element.value = to.value
    } else if (element.matches('details[open]')) {
        to.setAttribute('open', '')
    }
}

/** What was caught leaves its field; what was refused stays in it. */
function clear(form) {
    if (!form.querySelector('[aria-invalid]')) {
        form.reset()
        form.querySelector('textarea, input:not([type=hidden])')?.dispatchEvent(new Event('input', { bubbles: true }))
    }
}

function say(text) {
    const toast = document.createElement('div')
    toast.className = 'toast'
    toast.id = 'toast'
    toast.setAttribute('role', 'alert')
    toast.textContent = text
    document.getElementById('toast')?.remove()
    document.getElementById('page').append(toast)
}
