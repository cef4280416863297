import keys from '../keys.json'
import { isPending, network, pressInTurn } from './page/acts.js'
import { visit } from './page/exchange.js'
import { goTo } from './page/forms.js'
import { takeLastBack } from './page/offline.js'

/*
 * One meaning a key, on every screen, from one list (keys.json), which the help is printed from too. A key presses what is
 * marked with it, data-key in the row that has the focus, data-page-key anywhere; so each key can do only what a button on
 * the page does.
 */

const SINGLE = new Set(keys.filter(({ after }) => !after).map(({ key }) => key))

const PLACES = Object.fromEntries(keys.filter(({ after }) => after === ',').map(({ key, to }) => [key, to]))

/** Milliseconds in which a letter follows its comma. */
const FOLLOWS = 1500

let leading = 0

/** A key that had waited is being carried out. */
let isCarrying = false

export function listenForKeys() {
    document.addEventListener('keydown', (event) => {
        const dialog = document.querySelector('dialog[open]')
        if (dialog && event.key === 'Escape') { // at once: the next key is for the page again
            event.preventDefault()
            dialog.close()
            dialog.contains(document.activeElement) && document.activeElement.blur()
        }
        if (!dialog && event.altKey && ['ArrowUp', 'ArrowDown'].includes(event.key)) {
            press(event, event.target.closest('[data-list] > *')?.querySelector(`[data-key="Alt ${event.key}"]`))
            return
        }
        if (dialog || event.ctrlKey || event.metaKey || event.altKey || event.isComposing) {
            return
        }
        const typing = event.target.matches('input:not([type=checkbox], [type=radio]), textarea, select')
        if (event.key === 'Escape') {
            leave(event)
        } else if (!typing && (event.key === 'ArrowDown' || event.key === 'ArrowUp') && !event.shiftKey) {
            event.target.matches('[type=radio]') || step(event, event.key === 'ArrowDown' ? 1 : -1)
        } else if (!typing && event.key === 'Enter' && event.target.matches('tr[data-row]')) {
            event.target.querySelector('a')?.click()
        } else if (!typing) {
            pressed(event, { key: event.key, shift: event.shiftKey, target: event.target })
        }
    })
    listenForSearch()
}

/** @param one  { key, shift, target }, as pressed or as it was held */
function pressed(event, one) {
    const isSingle = document.body.dataset.singleKeys !== 'off'
    if (['ArrowLeft', 'ArrowRight'].includes(one.key) && !one.shift) {
        const way = document.querySelector(`[data-go="${one.key}"]`)
        way && !hold(event, one) && way.click()
    } else if (one.key === 'Enter') {
        if (one.target.matches('body, main, form[data-replaced], [data-enter-here]') && document.querySelector('button[data-enter]')) {
            hold(event, one) || press(event, document.querySelector('button[data-enter]'))
        }
    } else if (isSingle) {
        single(event, one)
    } else if (one.key === 'Delete') {
        press(event, one.target.closest('[data-list] > *')?.querySelector('[data-key="Delete"]'))
    }
}

function single(event, one) {
    const { key, target } = one
    if (Date.now() - leading < FOLLOWS && PLACES[key]) {
        event.preventDefault()
        leading = 0
        goTo(PLACES[key])
        return
    }
    leading = key === ',' ? Date.now() : 0
    if (key === '.' || key === '?') {
        event.preventDefault()
        key === '.' ? document.getElementById('catch')?.focus() : document.getElementById('keys')?.showModal()
        return
    }
    if (!SINGLE.has(key) || (key === ' ' && target.matches('button, summary, [type=checkbox], [type=radio]'))) { // it presses itself
        return
    }
    const row = target.closest('[data-list] > *')
    const own = row?.querySelector(`[data-key="${key}"]`)
    if (own && !row.hasAttribute('data-gone')) {
        press(event, own) // a row is there to be pressed, whatever is awaited
        return
    }
    const block = target.closest('a[data-block]')
    const isElsewhere = block && ['a', 'd', 'm', 'k', 'x'].includes(key) && !block.classList.contains('block-chosen')
    if (!isElsewhere && !document.querySelector(`[data-page-key="${key}"]`) && !isPending() && key !== 'u') {
        return
    }
    if (hold(event, one)) {
        return
    }
    if (isElsewhere) {
        event.preventDefault()
        visit(block.href).then(() => press(event, document.querySelector(`[data-page-key="${key}"]`)))
    } else if (key === 'u' && network.state !== 'here') {
        event.preventDefault()
        takeLastBack()
    } else {
        press(event, document.querySelector(`[data-page-key="${key}"]`))
    }
}

/** Whether the key has to wait for its turn. */
function hold(event, one) {
    if (!isPending() || isCarrying) {
        return false
    }
    event.preventDefault()
    pressInTurn(() => carryOut(one))
    return true
}

function carryOut(one) {
    const target = one.target.isConnected ? one.target : document.querySelector('form[data-replaced]') ?? document.body
    isCarrying = true
    try {
        pressed({ preventDefault: () => {} }, { ...one, target })
    } finally {
        isCarrying = false
    }
}

function press(event, control) {
    if (!control) {
        return
    }
    event.preventDefault()
    if (control.matches('input, select') && !control.matches('[type=checkbox], [type=radio]')) {
        control.focus()
        control.select?.()
    } else if (control.matches('summary')) {
        control.parentElement.open = true
        const field = control.parentElement.querySelector('input:not([type=hidden]), select, button:not(summary)')
        field?.focus()
        field?.select?.()
    } else {
        control.click()
    }
}

/** To the next or former item of all lists on the page. */
function step(event, by) {
    const rows = [...document.querySelectorAll('[data-row]')].filter((row) => row.getClientRects().length > 0)
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

/** The list of keys shows what a word is asked for. */
function listenForSearch() {
    document.addEventListener('input', ({ target }) => {
        if (target.id === 'keys-search') {
            const words = target.value.trim().toLowerCase()
            for (const row of document.querySelectorAll('#keys [data-means]')) {
                row.hidden = !row.dataset.means.includes(words)
            }
        }
    })
}
