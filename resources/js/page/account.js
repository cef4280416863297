/** What the page says of itself: whose it is, as of when. */

const page = () => document.getElementById('page')

/** The account's number as text; empty where nobody is signed in. */
export const account = () => page()?.dataset.account ?? ''

/** Milliseconds that the application's clock is ahead of this device's: whose clock is wrong does not matter. */
let ahead = 0

/** Where the clock of the application stands, what was a moment ago is now. */
const STANDS = 45_000

export function readClock() {
    const now = Number(page()?.dataset.now)
    ahead = now ? now - Date.now() : ahead
    ahead += document.body.dataset.clock === 'stands' ? STANDS : 0
}

/** A moment of this device as the person's clock shows it: "10:14". */
export function clock(at) {
    return new Date(at + ahead).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: page()?.dataset.zone || undefined })
}

/** The same, with the day where it is another one. */
export function when(at) {
    const zone = page()?.dataset.zone || undefined
    const day = (moment) => new Date(moment + ahead).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: zone })
    return day(at) === day(Date.now()) ? clock(at) : `${day(at)}, ${clock(at)}`
}

const PLACE = 'nekto-window'

let name = null

/** A name for this window that stays the same over reloads. */
export function windowName() {
    return (name ??= stored() ?? nameAnew())
}

/** A window that was opened as the copy of another has its name. */
export function nameAnew() {
    name = Math.random().toString(36).slice(2)
    try {
        sessionStorage.setItem(PLACE, name)
    } catch {
        // no storage: as long as the page
    }
    return name
}

function stored() {
    try {
        return sessionStorage.getItem(PLACE)
    } catch {
        return null
    }
}

/** The key that answers have to carry. */
export const token = () => document.querySelector('meta[name=csrf-token]')?.content ?? ''

export function setToken(value) {
    document.querySelector('meta[name=csrf-token]').content = value
    for (const field of document.querySelectorAll('input[name=_token]')) {
        field.value = value
    }
}
