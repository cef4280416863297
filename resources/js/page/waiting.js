import { openDB } from 'idb'

/**
 * What the person did and the server has not confirmed, in the order it was done, in the browser's own database: it
 * outlives the page, the window and the network. Where the browser keeps nothing it lasts as long as the page.
 *
 * An act: { key, account, at, address, fields: [[name, value]], words, texts: names of what was typed, waits,
 * late: null | { address, fields } }
 */

const DAYS = 14

let database = null

/** Acts of a browser that keeps nothing. */
const memory = []

let number = 0

const NOTE = 'nekto-act:'

/** Keys of what this page has noted itself. */
const own = new Set()

/** Milliseconds after which a note is of a window that is gone. */
const AGE = 2000

function opened() {
    database ??= openDB('nekto', 1, {
        upgrade: (db) => db.createObjectStore('acts', { keyPath: 'id', autoIncrement: true }),
        terminated: () => { database = null },
    }).catch(() => null)
    return database
}

async function inStore(mode, work) {
    try {
        const db = await opened()
        if (!db) {
            return undefined
        }
        const transaction = db.transaction('acts', mode)
        const result = await work(transaction.store)
        await transaction.done
        return result
    } catch {
        return undefined // forbidden or full
    }
}

/**
 * Keeps an act. Resolves to false if it lasts only as long as the page. Until the database has it, it is noted where a
 * note is written at once: a window may be closed in the same breath.
 */
export async function add(act) {
    own.add(act.key)
    jot(act)
    const id = await inStore('readwrite', (store) => store.add(act))
    if (id === undefined) {
        memory.push({ ...act, id: `page-${++number}` })
    } else {
        strike(act.key)
    }
    return id !== undefined
}

/** The acts of an account, the oldest first. */
export async function all(account) {
    await adopt()
    const kept = (await inStore('readonly', (store) => store.getAll())) ?? []
    const from = Date.now() - DAYS * 86_400_000
    for (const old of kept.filter(({ at }) => at < from || at > Date.now() + DAYS * 86_400_000)) {
        old.at = Date.now() // the device's clock was set meanwhile: its age is unknown, what was typed is not thrown away
    }
    return [...kept, ...memory].filter((act) => act.account === account)
}

export async function remove(id) {
    const at = memory.findIndex((act) => act.id === id)
    if (at >= 0) {
        strike(memory[at].key)
        memory.splice(at, 1)
    } else {
        await inStore('readwrite', (store) => store.delete(id))
    }
}

/** Takes over what a window had noted that was closed before the database had it. With its key it arrives once all the same. */
async function adopt() {
    for (const act of jotted()) {
        own.add(act.key)
        if ((await inStore('readwrite', (store) => store.add(act))) === undefined) {
            memory.push({ ...act, id: `page-${++number}` }) // the note stays until it has arrived
        } else {
            strike(act.key)
        }
    }
}

/** A service worker has no such notes. */
const notes = () => (typeof localStorage === 'undefined' ? null : localStorage)

function jot(act) {
    try {
        notes()?.setItem(NOTE + act.key, JSON.stringify(act))
    } catch {
        // full or forbidden
    }
}

function strike(key) {
    try {
        notes()?.removeItem(NOTE + key)
    } catch {
        // as above
    }
}

function jotted() {
    try {
        const others = Object.keys(notes() ?? {}).filter((place) => place.startsWith(NOTE) && !own.has(place.slice(NOTE.length)))
        return others.map((place) => JSON.parse(notes().getItem(place))).filter((act) => act !== null && Math.abs(Date.now() - act.at) > AGE) // a clock may have been set back
    } catch {
        return []
    }
}
