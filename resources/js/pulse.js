import { windowName } from './page/account.js'
import { here, isDown } from './page/deliver.js'
import { isPending, network, note } from './page/acts.js'
import { refresh } from './page/exchange.js'
import { forgetReminders, held, listenForReminders, take } from './reminders.js'

/** Milliseconds between two questions while another device is in use: its changes are seen within seconds. */
const OFTEN = 3000

/** Else each pause is longer than the one before, up to here; a hidden window may be later still. */
const SELDOM = 30_000

const SELDOM_HIDDEN = 60_000

const LONGER = 1.5

/** Windows of one browser tell each other what they show, without asking the server. */
const channel = 'BroadcastChannel' in window ? new BroadcastChannel('nekto') : null

let pause = OFTEN

/** A mark another window told while a hand was on this one. */
let waiting = null

/** Keeps this window in step with the account's others, and brings reminders. */
export function listenForPulse() {
    if (shown() === undefined) {
        forgetReminders()
        return
    }
    listenForReminders()
    let timer = setTimeout(beat, OFTEN)
    let latest = 0
    async function beat() {
        clearTimeout(timer)
        const turn = ++latest
        const came = await ask()
        if (turn === latest) { // else the window came to the front meanwhile, and that question goes on
            timer = setTimeout(beat, came ? 0 : pause) // what came is confirmed at once
        }
    }
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && beat())
    document.addEventListener('focusout', () => setTimeout(() => follow(waiting)))
    channel?.addEventListener('message', ({ data }) => Number(data) > Number(shown()) && follow(data))
    new MutationObserver(tell).observe(document.getElementById('page'), { attributeFilter: ['data-pulse'] })
    tell()
}

/** Returns whether a reminder came. */
async function ask() {
    pause = Math.min(pause * LONGER, document.visibilityState === 'visible' ? SELDOM : SELDOM_HIDDEN)
    try {
        const response = await fetch(`/pulse?${new URLSearchParams({ window: windowName(), held: held() })}`, { credentials: 'same-origin', headers: { Accept: 'application/json' } })
        note(response.status === 401 ? 'closed' : isDown(response.status) ? 'away' : 'arrived')
        if (response.ok) {
            const { mark, soon, reminders, settled } = await response.json()
            pause = soon ? OFTEN : pause
            await follow(mark)
            return take(reminders, settled)
        }
    } catch {
        network.state === 'here' && (await here()).away && note('away') // asked again
    }
    return false
}

/** Shows the page as it is now if a mark says that it has changed; nothing changes under a hand. */
async function follow(mark) {
    waiting = mark
    if (mark !== null && mark !== shown() && !isBusy()) {
        waiting = null
        await refresh()
    }
}

const shown = () => document.getElementById('page')?.dataset.pulse

function tell() {
    channel?.postMessage(shown())
}

function isBusy() {
    return isPending() || document.activeElement?.matches('select') || document.querySelector('dialog[open], .ghost:not(.ghost-stays), details.asks[open]') !== null
}
