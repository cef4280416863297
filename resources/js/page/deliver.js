/**
 * Brings one act to the server. Used by pages and by the service worker. With its key it arrives once, however often it
 * is sent; how long it waited goes along, since no clock of a device can be trusted.
 */

const MINUTE = 60

/** Seconds after which an act that may be sent again is taken for lost on its way. */
const PATIENCE = 45

/** A server that answers so is down, or on its way up. */
export const isDown = (status) => [502, 503, 504].includes(status)

/** Whether what has waited has to wait on. */
export const waitsOn = ({ kind }) => ['away', 'closed', 'often'].includes(kind)

/** Whether a page says that something was wrong with what was sent. */
export const isRefusal = (text) => /<div id="page"[^>]* data-refused/.test(text)

/** Whether it was done. */
export const isDone = ({ kind, text }) => kind === 'arrived' && !isRefusal(text)

/**
 * What came late may be about something that is no more, as a block the plan has moved: then the other form of it is sent,
 * under the same key, which a refusal has not used up.
 *
 * @returns {Promise<{kind: 'arrived', response: Response, text: string} | {kind: 'away' | 'closed' | 'often'} | {kind: 'refused', status: number}>}
 *   away: the server cannot be reached; closed: nobody is signed in, or the page was open too long; often: later
 */
export async function deliver(act, token) {
    const came = await sendOne(act, act, token)
    return act.late && ageOf(act) >= MINUTE && !waitsOn(came) && !isDone(came) ? sendOne(act, act.late, token) : came
}

const ageOf = (act) => Math.max(0, Math.floor((Date.now() - act.at) / 1000))

async function sendOne(act, { address, fields }, token) {
    const body = new FormData()
    for (const [name, value] of fields) {
        body.append(name, value)
    }
    body.set('_token', token)
    body.set('_once', act.key)
    if (act.waits && ageOf(act) >= MINUTE) {
        body.set('_age', ageOf(act))
    }
    try {
        const response = await fetch(address, {
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
    if (isDown(response.status)) {
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
