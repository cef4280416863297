import { isSaid, say, unsay } from './page/says.js'

/**
 * Reminders this window was given. They are said, on other pages too, until they are put away, followed,
 * settled or old; what the window holds it says to the server, which gives it to no other.
 */

const PLACE = 'nekto-reminders'

/** Milliseconds after which a reminder has lost its point. */
const OLD = 3_600_000

/** Nobody reads more; what is held is said in an address, which must not grow long. */
const MOST = 40

let memory = { notes: [] }

try {
    memory = JSON.parse(sessionStorage.getItem(PLACE)) ?? memory
} catch {
    // no storage: reminders last as long as the page
}

/** Keys of what is shown or was put away. */
export const held = () => memory.notes.map((note) => note.key)

export function listenForReminders() {
    keep()
    document.addEventListener('click', (event) => {
        if (event.target.closest('[data-allow-notes]') && 'Notification' in window) {
            Notification.requestPermission()
        }
        const followed = event.target.closest('.reminder a')?.closest('.reminder')
        const note = memory.notes.find(({ key }) => `reminder-${key}` === followed?.id)
        if (note) {
            note.away = true
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
    for (const note of memory.notes) {
        const id = `reminder-${note.key}`
        note.away ? unsay(id) : isSaid(id) || say({ id, kind: 'reminder', lead: note.title, text: note.body, href: note.address, link: note.link, close: () => { note.away = true; keep() } })
    }
}
