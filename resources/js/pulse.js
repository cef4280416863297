import { refresh } from './page.js'

/** Milliseconds between two questions: another window is seen within seconds. */
const EVERY = 3000

const EVERY_HIDDEN = 20_000

/** Keeps this window in step with the account's others, and brings reminders. */
export function listenForPulse() {
    if (document.getElementById('page')?.dataset.pulse === undefined) {
        return
    }
    setTimeout(beat, EVERY)
    document.addEventListener('click', (event) => {
        if (event.target.closest('[data-allow-notes]') && 'Notification' in window) {
            Notification.requestPermission()
        }
        event.target.closest('[data-let-go]')?.closest('.reminder').remove()
    })
}

async function beat() {
    const page = document.getElementById('page')
    try {
        const response = await fetch('/pulse', { credentials: 'same-origin', headers: { Accept: 'application/json' } })
        if (response.ok) {
            const { mark, reminders } = await response.json()
            reminders.forEach(remind)
            if (mark !== page.dataset.pulse && !isBusy()) {
                await refresh()
            }
        }
    } catch {
        // not reachable just now: asked again
    }
    setTimeout(beat, document.visibilityState === 'visible' ? EVERY : EVERY_HIDDEN)
}

/** Nothing changes under a hand. */
function isBusy() {
    return document.activeElement?.matches('input, textarea, select') || document.querySelector('dialog[open], .ghost:not(.ghost-stays), details.asks[open]') !== null
}

function remind({ key, title, body, address }) {
    if ('Notification' in window && Notification.permission === 'granted') {
        new Notification(title, { body, tag: key })
    }
    const note = document.createElement('div')
    note.className = 'reminder'
    const link = document.createElement('a')
    link.href = address
    link.textContent = title
    const text = document.createElement('span')
    text.textContent = body
    const close = document.createElement('button')
    close.type = 'button'
    close.dataset.letGo = ''
    close.setAttribute('aria-label', `Put away: ${title}`)
    close.textContent = '×'
    note.append(link, text, close)
    let shelf = document.getElementById('reminders')
    if (!shelf) {
        shelf = document.createElement('div')
        shelf.id = 'reminders'
        shelf.setAttribute('aria-live', 'polite')
        document.body.append(shelf) // beside the page: it stays when that is drawn anew
    }
    shelf.append(note)
}
