/**
 * Reminders this window was given. They stay on their shelf, over other pages too, until they are put away, followed,
 * settled or old; what the window holds it says to the server, which gives it to no other.
 */

const PLACE = 'nekto-reminders'

/** Milliseconds after which a reminder has lost its point. */
const OLD = 3_600_000

/** Nobody reads more; what is held is said in an address, which must not grow long. */
const MOST = 40

let memory = { window: Math.random().toString(36).slice(2), notes: [] }

try {
    memory = JSON.parse(sessionStorage.getItem(PLACE)) ?? memory
} catch {
    // no storage: reminders last as long as the page
}

export const windowName = () => memory.window

/** Keys of what is shown or was put away. */
export const held = () => memory.notes.map((note) => note.key)

export function listenForReminders() {
    keep() // the window's name stays the same on the next page
    document.addEventListener('click', (event) => {
        if (event.target.closest('[data-allow-notes]') && 'Notification' in window) {
            Notification.requestPermission()
        }
        const note = event.target.closest('.reminder')
        if (note && event.target.closest('a, button')) {
            memory.notes.find(({ key }) => key === note.dataset.about).away = true
            keep()
        }
    })
}

/** Another account may come to this window. */
export function forgetReminders() {
    memory.notes = []
    keep()
}

/** Takes what came from the server, and drops what is settled. Returns whether anything new came. */
export function take(given, settled) {
    const fresh = given.filter(({ key }) => !held().includes(key))
    memory.notes.push(...fresh.map((note) => ({ ...note, at: Date.now() })))
    for (const note of memory.notes) {
        note.away ||= settled.includes(note.key)
    }
    keep()
    for (const { key, title, body } of fresh) {
        if ('Notification' in window && Notification.permission === 'granted') {
            new Notification(title, { body, tag: key })
        }
    }
    return fresh.length > 0
}

function keep() {
    memory.notes = memory.notes.filter(({ at }) => Date.now() - at < OLD).slice(-MOST)
    try {
        sessionStorage.setItem(PLACE, JSON.stringify(memory))
    } catch {
        // as above
    }
    draw()
}

function draw() {
    const notes = memory.notes.filter(({ away }) => !away)
    let shelf = document.getElementById('reminders')
    if (!shelf) {
        if (notes.length === 0) {
            return
        }
        shelf = document.createElement('div')
        shelf.id = 'reminders'
        shelf.setAttribute('aria-live', 'polite')
        document.body.append(shelf) // beside the page: it stays when that is drawn anew
    }
    for (const shown of [...shelf.children]) {
        notes.some(({ key }) => key === shown.dataset.about) || shown.remove()
    }
    for (const note of notes) {
        ;[...shelf.children].some((shown) => shown.dataset.about === note.key) || shelf.append(slip(note))
    }
}

function slip({ key, title, body, address }) {
    const note = document.createElement('div')
    note.className = 'reminder'
    note.dataset.about = key
    const link = document.createElement('a')
    link.href = address
    link.textContent = title
    const text = document.createElement('span')
    text.textContent = body
    const close = document.createElement('button')
    close.type = 'button'
    close.setAttribute('aria-label', `Put away: ${title}`)
    close.textContent = '×'
    note.append(link, text, close)
    return note
}
