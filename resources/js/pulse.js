import { refresh } from './page.js'
import { forgetReminders, held, listenForReminders, take, windowName } from './reminders.js'

/** Milliseconds between two questions: another window is seen within seconds. */
const EVERY = 3000

const EVERY_HIDDEN = 20_000

/** Keeps this window in step with the account's others, and brings reminders. */
export function listenForPulse() {
    if (document.getElementById('page')?.dataset.pulse === undefined) {
        forgetReminders()
        return
    }
    listenForReminders()
    setTimeout(beat, EVERY)
}

async function beat() {
    const page = document.getElementById('page')
    let came = false
    try {
        const response = await fetch(`/pulse?${new URLSearchParams({ window: windowName(), held: held() })}`, { credentials: 'same-origin', headers: { Accept: 'application/json' } })
        if (response.ok) {
            const { mark, reminders, settled } = await response.json()
            came = take(reminders, settled)
            if (mark !== page.dataset.pulse && !isBusy()) {
                await refresh()
            }
        }
    } catch {
        // not reachable just now: asked again
    }
    setTimeout(beat, came ? 0 : document.visibilityState === 'visible' ? EVERY : EVERY_HIDDEN) // what came is confirmed at once
}

/** Nothing changes under a hand. */
function isBusy() {
    return document.activeElement?.matches('input, textarea, select') || document.querySelector('dialog[open], .ghost:not(.ghost-stays), details.asks[open]') !== null
}
