/**
 * Brings one act to the server. Used by pages and by the service worker. With its key it arrives once, however often it
 * is sent; how long it waited goes along, since no clock of a device can be trusted.
 */

const MINUTE = 60

/** Seconds after which an act that may be sent again is taken for lost on its way. */
const PATIENCE = 45

/**
 * @returns {Promise<{kind: 'arrived', response: Response, text: string} | {kind: 'away' | 'closed' | 'often'} | {kind: 'refused', status: number}>}
 *   away: the server cannot be reached; closed: nobody is signed in, or the page was open too long; often: later
 */
export async function deliver(act, token) {
    const age = Math.max(0, Math.floor((Date.now() - act.at) / 1000))
    const late = age >= MINUTE && act.late ? act.late : act
    const body = new FormData()
    for (const [name, value] of late.fields) {
        body.append(name, value)
    }
    body.set('_token', token)
    body.set('_once', act.key)
    if (age >= MINUTE && act.waits) {
        body.set('_age', age)
    }
    try {
        const response = await fetch(late.address, {
            method: 'POST', body, credentials: 'same-origin', headers: { Accept: 'text/html', 'X-Act': '1' },
            signal: act.waits ? AbortSignal.timeout(PATIENCE * 1000) : undefined,
        })
        return outcome(response, await response.text())
    } catch {
        return { kind: 'away' }
    }
}

function outcome(response, text) {
    if ([401, 419].includes(response.status) || (response.redirected && new URL(response.url).pathname === '/sign-in')) {
        return { kind: 'closed' }
    }
    if (response.status === 429) {
        return { kind: 'often' }
    }
    if ([502, 503, 504].includes(response.status)) {
        return { kind: 'away' }
    }
    return response.ok ? { kind: 'arrived', response, text } : { kind: 'refused', status: response.status }
}

/** Who is signed in here, and the key for what is sent: { account, token }, { closed: true } or { away: true }. */
export async function here() {
    try {
        const response = await fetch('/here', { credentials: 'same-origin', cache: 'no-store', headers: { Accept: 'application/json', 'X-By-Itself': '1' } })
        const said = response.ok ? await response.json() : null
        return said === null ? { away: true } : said.account === '' ? { closed: true } : said
    } catch {
        return { away: true }
    }
}
