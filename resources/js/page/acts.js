import { account, setToken, token } from './account.js'
import { deliver, here, waitsOn } from './deliver.js'
import * as waiting from './waiting.js'

/*
 * One line for everything that asks the server for a change or for another page: what is pressed while an answer is
 * awaited is carried out after it, in order, none dropped. What can wait is in the browser's keeping before it is sent.
 */

/** Milliseconds between two tries while the server cannot be reached. */
const TRY_AGAIN = 5000

const TRY_SELDOM = 30_000

let line = Promise.resolve()

let open = 0

/** 'here', 'away' since a moment, 'closed' (nobody is signed in here any more) since a moment. */
export const network = { state: 'here', since: 0, seen: Date.now() }

/** What has no answer yet and does not wait in the browser: if the page is left now, the next one brings it to its end. */
const unanswered = new Map()

/** Keys of what waits in the browser and has its turn in this window still before it. */
const upcoming = new Set()

/** Milliseconds: a request that fails so shortly before the page is left was cut off by that. */
const CUT_OFF = 1000

const LEFT = 'nekto-left'

/** Milliseconds after which nobody expects that any more. */
const EXPECTED = 120_000

let again = null
let pause = TRY_AGAIN

/** Whether an answer is awaited. */
export const isPending = () => open > 0

/** Resolves when nothing is awaited any more. */
export const settled = () => line

/** What a key that had to wait has begun: its turn is not over before that is answered. */
let begun = null

/** Carries something out when all that was asked before is answered. */
export function inTurn(work) {
    if (begun !== null) {
        const own = work()
        begun.push(own)
        return own
    }
    open++
    const long = setTimeout(() => document.documentElement.classList.add('asking'), 300)
    const turn = line.then(work).finally(() => {
        open--
        clearTimeout(long)
        document.documentElement.classList.toggle('asking', open > 0)
        document.dispatchEvent(new CustomEvent('nekto:answered'))
    })
    line = turn.catch(() => null)
    return turn
}

/** A key that was pressed while an answer is awaited: it means the page it will find, and what it begins comes before all that is pressed after it. */
export function pressInTurn(press) {
    return inTurn(async () => {
        const own = (begun = [])
        try {
            press()
        } finally {
            begun = null
        }
        await Promise.allSettled(own)
    })
}

/** Only one window of a browser sends at a time: what waits goes in its order. */
const alone = (work) => (navigator.locks ? navigator.locks.request('nekto-acts', work) : work())

/**
 * Does something. What came of it, as deliver() says; 'waits' if it is kept here until the server can be reached.
 *
 * @param act  see waiting.js, and `waits`: whether it may
 * @param refresh  brings hidden values up to date once its turn has come
 * @param finish  shows what came of it, before anything else has its turn
 */
export function perform(act, { refresh = () => {}, finish = () => {} } = {}) {
    const kept = act.waits ? waiting.add(act) : null
    act.waits ? upcoming.add(act.key) : unanswered.set(act.key, act)
    return inTurn(async () => {
        await kept
        upcoming.delete(act.key)
        refresh(act)
        const came = await alone(async () => (act.waits ? sendUpTo(act) : (await sendUpTo(null))?.kind ?? sendNow(act)))
        let outcome = typeof came === 'string' ? { kind: came } : came
        outcome.kind === 'away' ? setTimeout(() => unanswered.delete(act.key), CUT_OFF) : unanswered.delete(act.key)
        if (act.waits && waitsOn(outcome)) {
            outcome = { kind: 'waits' }
            document.dispatchEvent(new CustomEvent('nekto:waits'))
        }
        await finish(outcome)
        return outcome
    })
}

/** Sends all that waits, as when the network is back. */
export function sendWaiting() {
    return inTurn(() => alone(() => sendUpTo(null)))
}

/** Null if everything before, and all there was, has arrived. */
async function sendUpTo(last) {
    const sent = []
    for (const act of (await waiting.all(account())).filter(({ key }) => !upcoming.has(key))) {
        const own = last !== null && act.key === last.key
        const outcome = await sendNow({ ...act, waits: true, fields: own ? last.fields : act.fields })
        if (waitsOn(outcome)) {
            return outcome
        }
        await waiting.remove(act.id)
        if (own) {
            return outcome
        }
        sent.push(act)
        document.dispatchEvent(new CustomEvent('nekto:sent', { detail: { act, outcome } })) // kept by another window, or one that is closed
    }
    sent.length > 0 && document.dispatchEvent(new CustomEvent('nekto:all-sent', { detail: sent }))
    return last === null ? null : { kind: 'elsewhere' }
}

async function sendNow(act) {
    let outcome = await deliver(act, token())
    if (outcome.kind === 'closed') {
        const now = await here()
        if (now.account === account() && now.token !== token()) { // the page was only open too long
            setToken(now.token)
            outcome = await deliver(act, now.token)
        } else if (now.account && now.account !== account()) {
            location.assign('/shape') // somebody else is here now; what waits stays its owner's
        } else if (now.away) {
            outcome = { kind: 'away' }
        }
    }
    note(outcome.kind)
    return outcome
}

/** What an answer, or none, tells of the network. */
export function note(kind) {
    const state = kind === 'away' ? 'away' : kind === 'closed' ? 'closed' : 'here'
    clearTimeout(again)
    if (state === 'here') {
        network.seen = Date.now()
        pause = TRY_AGAIN
    } else if (state === 'away' || kind === 'often') {
        again = setTimeout(retry, pause)
        pause = Math.min(TRY_SELDOM, pause * 1.5)
    }
    if (state !== network.state) {
        const before = network.state
        Object.assign(network, { state, since: Date.now() })
        document.dispatchEvent(new CustomEvent('nekto:network', { detail: { before } }))
    }
}

/** Looks whether the server can be reached, and sends what waits. */
export async function retry() {
    if (isPending()) {
        again = setTimeout(retry, TRY_AGAIN)
        return
    }
    const now = await here()
    if (now.account === account()) {
        setToken(now.token)
        note('here')
        await sendWaiting()
    } else {
        note(now.closed ? 'closed' : now.away ? 'away' : 'here')
    }
}

/** A page that is left in the middle of something leaves it to the next: with its key it happens once, wherever it had come to. */
function leaveOver() {
    const acts = [...unanswered.values()].filter(({ fields }) => fields.every(([, value]) => typeof value === 'string'))
    try {
        acts.length > 0 && sessionStorage.setItem(LEFT, JSON.stringify(acts))
    } catch {
        // the browser sends what it can before it goes
    }
}

function takeUp() {
    let acts = []
    try {
        acts = JSON.parse(sessionStorage.getItem(LEFT)) ?? []
        sessionStorage.removeItem(LEFT)
    } catch {
        return
    }
    for (const act of acts.filter((one) => one.account === account() && Date.now() - one.at < EXPECTED)) {
        perform(act, { finish: (outcome) => document.dispatchEvent(new CustomEvent('nekto:sent', { detail: { act, outcome } })) })
            .then(() => document.dispatchEvent(new CustomEvent('nekto:refresh')))
    }
}

export function listenForNetwork() {
    addEventListener('pagehide', leaveOver)
    takeUp()
    addEventListener('online', () => network.state !== 'here' && retry())
    addEventListener('offline', () => note('away'))
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && network.state === 'away' && retry())
}
