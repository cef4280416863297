import { send, show } from './page.js'

/*
 * One meaning a key, on every screen. A key presses what is marked with it, data-key in the row that has the focus,
 * data-page-key anywhere; so each key can do only what a button on the page does.
 */

const PLACES = { g: '/gather', w: '/weigh', s: '/shape', k: '/work', c: '/close' }

let leading = 0

export function listenForKeys() {
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) {
            return
        }
        const typing = event.target.matches('input, textarea, select')
        if (event.key === 'Escape') {
            leave(event)
        } else if (!typing && (event.key === 'ArrowDown' || event.key === 'ArrowUp') && !event.shiftKey) {
            step(event, event.key === 'ArrowDown' ? 1 : -1)
        } else if (!typing && (event.key === 'ArrowLeft' || event.key === 'ArrowRight') && !event.shiftKey) {
            document.querySelector(`[data-go="${event.key}"]`)?.click()
        } else if (!typing && event.key === 'Enter' && event.target.matches('tr[data-row]')) {
            event.target.querySelector('a')?.click()
        } else if (event.key === 'Enter' && event.target.matches('body, main')) {
            press(event, document.querySelector('[data-enter]'))
        } else if (!typing && document.body.dataset.singleKeys !== 'off') {
            single(event)
        } else if (!typing && event.key === 'Delete') {
            press(event, event.target.closest('[data-list] > *')?.querySelector('[data-key="Delete"]'))
        }
    })
}

function single(event) {
    if (Date.now() - leading < 1500 && PLACES[event.key]) {
        event.preventDefault()
        location.assign(PLACES[event.key])
        return
    }
    leading = event.key === ',' ? Date.now() : 0
    if (event.key === '.') {
        event.preventDefault()
        document.querySelector('#catch')?.focus()
        return
    }
    if (event.key === '?') {
        event.preventDefault()
        document.getElementById('keys')?.showModal()
        return
    }
    if (event.shiftKey || !/^([a-z1-4 ]|Delete)$/.test(event.key)) {
        return
    }
    if (event.key === ' ' && event.target.matches('button, summary')) { // it presses itself
        return
    }
    const row = event.target.closest('[data-list] > *')
    const block = event.target.closest('a[data-block]')
    const own = row?.querySelector(`[data-key="${event.key}"]`)
    if (own) {
        press(event, own)
    } else if (block && ['a', 'd', 'm'].includes(event.key) && !block.classList.contains('block-chosen')) {
        event.preventDefault()
        show(block.href, { push: true }).then(() => press(event, document.querySelector(`[data-page-key="${event.key}"]`)))
    } else {
        press(event, document.querySelector(`[data-page-key="${event.key}"]`))
    }
}

function press(event, control) {
    if (!control) {
        return
    }
    event.preventDefault()
    if (control.matches('[type=checkbox], [type=radio], a, button[type=button]') || (control.form && control.hasAttribute('x-on:click'))) {
        control.click()
        return
    }
    if (control.matches('input')) {
        control.focus()
        control.select?.()
        return
    }
    if (control.matches('summary')) {
        document.querySelectorAll('details.asks[open]').forEach((other) => other.removeAttribute('open'))
        control.parentElement.open = true
        control.parentElement.querySelector('input:not([type=hidden]), button:not(summary)')?.focus()
        return
    }
    const row = control.closest('[data-list] > *')
    const next = row?.nextElementSibling?.id || row?.previousElementSibling?.id
    const focus = document.activeElement?.id
    send(control.form, control).then(() => {
        if (document.activeElement === document.body || !document.getElementById(focus)) {
            const place = document.getElementById(row?.id) ?? document.getElementById(next)
            ;(place?.matches('[data-row]') ? place : place?.querySelector('[data-row]'))?.focus()
        }
    })
}

/** To the next or former item of all lists on the page. */
function step(event, by) {
    const rows = [...document.querySelectorAll('[data-row]')]
    const at = rows.indexOf(event.target.closest('[data-row]') ?? event.target.closest('[data-list] > *')?.querySelector('[data-row]'))
    const next = rows[at < 0 ? (by > 0 ? 0 : rows.length - 1) : at + by]
    if (next) {
        event.preventDefault()
        next.focus()
    }
}

function leave(event) {
    if (event.defaultPrevented) {
        return
    }
    const row = event.target.closest('[data-list] > *')
    event.target.closest('details.asks[open]')?.removeAttribute('open')
    if (row && !event.target.matches('[data-row]')) {
        ;(row.matches('[data-row]') ? row : row.querySelector('[data-row]'))?.focus()
    } else if (event.target.matches('input, textarea, select')) {
        event.target.blur()
    } else {
        document.querySelector('[data-leave]')?.click()
    }
}
