/*
 * So many people at once: each has a window open, which asks every thirty seconds; each looks at a page or changes something
 * every two and a half minutes. An open loop: what is due is asked, however long the answers take.
 * Usage: node bench/load.mjs BASE COOKIES.json SECONDS
 */
import { Agent, request } from 'node:https'
import { readFileSync } from 'node:fs'

const [base, file, seconds] = [process.argv[2], process.argv[3], Number(process.argv[4] ?? 60)]
const cookies = JSON.parse(readFileSync(file, 'utf8'))
const agent = new Agent({ keepAlive: true, maxSockets: 400, rejectUnauthorized: false })

const PULSE = 30_000
const ACT = 150_000
const PAGES = ['/shape', '/gather', '/work', '/weigh/list', '/shape', '/gather']

const times = { pulse: [], page: [], change: [] }
const wrong = {}
let open = 0
let most = 0

function ask(kind, cookie, path, fields = null) {
    const began = performance.now()
    most = Math.max(most, ++open)
    return new Promise((resolve) => {
        const body = fields === null ? null : new URLSearchParams({ _token: 'k'.repeat(40), ...fields }).toString()
        const asked = request(base + path, {
            agent, method: body === null ? 'GET' : 'POST', timeout: 60_000,
            headers: { Cookie: cookie, Accept: kind === 'pulse' ? 'application/json' : 'text/html', ...(body === null ? {} : { 'Content-Type': 'application/x-www-form-urlencoded', 'Content-Length': Buffer.byteLength(body), 'X-Act': '1', Referer: `${base}/gather` }) },
        }, (response) => {
            response.resume()
            response.on('end', () => {
                const isRight = response.statusCode === 200 || (kind === 'change' && response.statusCode === 302 && !response.headers.location.endsWith('/sign-in'))
                isRight ? times[kind].push(performance.now() - began) : (wrong[`${kind} ${response.statusCode}`] = (wrong[`${kind} ${response.statusCode}`] ?? 0) + 1)
                open--
                resolve()
            })
        })
        asked.on('timeout', () => asked.destroy(new Error('timeout')))
        asked.on('error', (error) => {
            wrong[`${kind} ${error.code ?? error.message}`] = (wrong[`${kind} ${error.code ?? error.message}`] ?? 0) + 1
            open--
            resolve()
        })
        body === null ? asked.end() : asked.end(body)
    })
}

const until = Date.now() + 1000 * seconds
let acts = 0
const waits = cookies.map(async (cookie, i) => {
    const every = async (pause, act) => {
        await new Promise((resolve) => setTimeout(resolve, Math.random() * pause))
        while (Date.now() < until) {
            act()
            await new Promise((resolve) => setTimeout(resolve, pause))
        }
    }
    await Promise.all([
        every(PULSE, () => ask('pulse', cookie, `/pulse?window=w${i}&held=`)),
        every(Math.min(ACT, 1000 * seconds), () => (++acts % 3 === 0 ? ask('change', cookie, '/gather', { lines: `Ring number ${acts} tomorrow for 15 min` }) : ask('page', cookie, PAGES[acts % PAGES.length]))),
    ])
})
await Promise.race([Promise.all(waits), new Promise((resolve) => setTimeout(resolve, 1000 * seconds + 10_000))])
const at = (values, share) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? NaN
for (const [kind, values] of Object.entries(times)) {
    console.log(`  ${kind.padEnd(7)} ${String(values.length).padStart(6)} answers, ${(values.length / seconds).toFixed(1).padStart(5)} a second, median ${at(values, 0.5).toFixed(0).padStart(5)} ms, 95th ${at(values, 0.95).toFixed(0).padStart(6)} ms, worst ${at(values, 1).toFixed(0).padStart(6)} ms`)
}
console.log(`  at most ${most} at once${Object.keys(wrong).length ? `; wrong: ${JSON.stringify(wrong)}` : '; nothing wrong'}`)
process.exit(0)
