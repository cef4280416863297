import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { readFileSync, readdirSync } from 'node:fs'
import { Agent, request } from 'node:https'

const { RUN, BASE, DB_DATABASE } = process.env
const [what, count] = [process.argv[2], Number(process.argv[3] ?? { kills: 200, restores: 20, neighbours: 60, clients: 300 }[process.argv[2]])]
const cookies = JSON.parse(readFileSync(`${RUN}/cookies.json`, 'utf8'))
let agent = new Agent({ keepAlive: true, maxSockets: 50, rejectUnauthorized: false })
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
const random = (n) => Math.floor(Math.random() * n)

function ask(path, { cookie = null, token = null, fields = null, file = null } = {}) {
    const began = performance.now()
    return new Promise((resolve) => {
        let body = null
        const headers = { ...(cookie && { Cookie: cookie }), ...(token && { Authorization: `Bearer ${token}` }), Accept: token ? 'application/json' : 'text/html' }
        if (file) {
            body = Buffer.concat([Buffer.from(`--b\r\nContent-Disposition: form-data; name="_token"\r\n\r\n${'k'.repeat(40)}\r\n--b\r\nContent-Disposition: form-data; name="${file.field}"; filename="${file.name ?? 'a.ics'}"\r\nContent-Type: text/plain\r\n\r\n`), Buffer.from(file.text), Buffer.from('\r\n--b--\r\n')])
            headers['Content-Type'] = 'multipart/form-data; boundary=b'
        } else if (fields) {
            body = Buffer.from(new URLSearchParams({ ...(cookie && { _token: 'k'.repeat(40) }), ...fields }).toString())
            headers['Content-Type'] = 'application/x-www-form-urlencoded'
        }
        body && (headers['Content-Length'] = body.length)
        const asked = request(BASE + path, { agent, method: body ? 'POST' : 'GET', headers, timeout: 60_000 }, (response) => {
            const parts = []
            response.on('data', (part) => parts.push(part))
            response.on('end', () => resolve({ status: response.statusCode, ms: performance.now() - began, text: Buffer.concat(parts).toString(), to: response.headers.location }))
        })
        asked.on('timeout', () => asked.destroy())
        asked.on('error', () => resolve({ status: 0, ms: performance.now() - began, text: '' }))
        body ? asked.end(body) : asked.end()
    })
}

const php = (code, ...words) => execFileSync('php', ['-r', code, ...words], { encoding: 'utf8' })
const titles = (like) => php('$d = new PDO("sqlite:$argv[1]"); $d->exec("pragma busy_timeout=20000"); foreach ($d->query("select title from tasks where title like " . $d->quote($argv[2])) as $r) echo $r[0], "\n";', DB_DATABASE, like).split('\n').filter(Boolean)
const whole = () => php('$d = new PDO("sqlite:$argv[1]"); echo $d->query("pragma integrity_check")->fetchColumn(), " ", count($d->query("pragma foreign_key_check")->fetchAll());', DB_DATABASE)
const master = () => Number(readFileSync(`${RUN}/php-fpm.pid`, 'utf8'))
const children = (pid) => readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean).map(Number)
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]
const at95 = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.95)]

/** What a person's pages and changes take for so many seconds, in milliseconds, and the answers that were none. */
async function working(cookie, seconds) {
    const times = { page: [], change: [] }
    const faults = []
    const until = Date.now() + 1000 * seconds
    for (let i = 0; Date.now() < until; i++) {
        const kind = i % 3 === 2 ? 'change' : 'page'
        const answer = kind === 'page' ? await ask(i % 2 ? '/shape' : '/gather', { cookie }) : await ask('/gather', { cookie, fields: { lines: `Ring ${i}` } })
        answer.status === 200 || (kind === 'change' && answer.status === 302) ? times[kind].push(answer.ms) : faults.push(answer.status)
        await pause(150)
    }
    return { ...times, faults }
}

const runs = {
    async calendar() {
        const [busy, calm] = cookies
        const day = (i) => new Date(Date.UTC(2020, 0, 1) + 86_400_000 * ((i * 7919) % 2500)).toISOString().slice(0, 10).replaceAll('-', '')
        const rules = ['WEEKLY', 'WEEKLY;INTERVAL=2', 'MONTHLY;BYDAY=2TU', 'DAILY;BYDAY=MO,TU,WE,TH,FR;UNTIL=20261231T000000Z', 'WEEKLY;BYDAY=MO,TH;COUNT=80']
        const event = (i) => `BEGIN:VEVENT\r\nUID:${i}@calendars.example\r\nSUMMARY:Meeting number ${i}\r\nDTSTART;TZID=Europe/Lisbon:${day(i)}T${String(8 + (i % 10)).padStart(2, '0')}3000\r\nDURATION:PT45M\r\n${i % 2 ? '' : `RRULE:FREQ=${rules[(i / 2) % 5]}\r\n`}END:VEVENT\r\n`
        await working(calm, 5)
        const idle = await working(calm, 20)
        await ask('/meetings', { cookie: busy, file: { field: 'calendar', name: 'a.ics', text: `BEGIN:VCALENDAR\r\n${Array.from({ length: 20_000 }, (_, i) => event(i)).join('')}END:VCALENDAR\r\n` } })
        const began = Date.now()
        const beside = { page: [], change: [], faults: [] }
        const stage = () => php('echo (new PDO("sqlite:$argv[1]"))->query("select stage from intakes order by id desc limit 1")->fetchColumn();', DB_DATABASE)
        while (!['finished', 'aside'].includes(stage())) {
            const some = await working(calm, 5)
            Object.keys(beside).forEach((key) => beside[key].push(...some[key]))
        }
        console.log(`20,000 events ${stage()} in ${Math.round((Date.now() - began) / 1000)} s; another account meanwhile, median / 95th: page ${median(beside.page).toFixed(0)} / ${at95(beside.page).toFixed(0)} ms (idle ${median(idle.page).toFixed(0)} / ${at95(idle.page).toFixed(0)}), change ${median(beside.change).toFixed(0)} / ${at95(beside.change).toFixed(0)} ms (idle ${median(idle.change).toFixed(0)} / ${at95(idle.change).toFixed(0)}), ${beside.faults.length} faults`)
        for (const page of ['/shape', '/shape', '/meetings', '/work']) {
            const own = await ask(page, { cookie: busy })
            console.log(`its own ${page}: ${own.status}, ${own.ms.toFixed(0)} ms, ${Math.round(own.text.length / 1000)} KB`)
        }
    },
    async kills() {
        const token = execFileSync('php', ['bench/token.php'], { encoding: 'utf8' })
        const acknowledged = []
        let cut = 0
        let killed = 0
        for (let round = 0; round < count; round++) {
            const writing = [0, 1, 2, 3].map(async (i) => {
                const title = `kill ${round} ${i} x`
                const answer = await ask('/capture', { token, fields: { title, text: 'note '.repeat(40) } })
                answer.status === 201 ? acknowledged.push(title) : cut++
            })
            await pause(random(300)) // sometimes all are done by then, as a rule some are in the midst of it
            for (const pid of children(master())) {
                try {
                    process.kill(pid, 'SIGKILL')
                    killed++
                } catch { /* it had ended */ }
            }
            await Promise.all(writing)
            await pause(30)
        }
        const there = titles('kill %')
        const lost = acknowledged.filter((title) => !there.includes(title))
        console.log(`${count} rounds, ${killed} processes killed, ${acknowledged.length} acknowledged, ${cut} cut off; lost ${lost.length}, double ${there.length - new Set(there).size}; the database: ${whole()}`)
        return lost.length === 0 && there.length === new Set(there).size
    },

    async restores() {
        const token = execFileSync('php', ['bench/token.php'], { encoding: 'utf8' })
        let right = 0
        let before = 0
        let after = 0
        for (let round = 0; round < count; round++) {
            const sent = []
            let goes = true
            const write = async (i) => {
                for (let n = 0; goes; n++) {
                    const title = `saved ${round} ${i} ${n} x`
                    const one = { title, began: Date.now() }
                    sent.push(one)
                    const answer = await ask('/capture', { token, fields: { title } })
                    one.isThere = answer.status === 201
                    one.ended = Date.now()
                    await pause(10)
                }
            }
            const writing = [0, 1, 2].map(write)
            await pause(400 + random(400))
            const began = Date.now()
            const saving = spawn('bin/backup', [`${RUN}/saved.tar.gz`])
            const said = await new Promise((resolve) => saving.on('close', resolve))
            const ended = Date.now()
            await pause(200 + random(300))
            for (const pid of [...children(master()), master(), Number(readFileSync(`${RUN}/nginx.pid`, 'utf8'))]) {
                try { process.kill(pid, 'SIGKILL') } catch { /* gone */ }
            }
            spawnSync('pkill', ['-9', '-f', 'artisan queue:work'])
            spawnSync('pkill', ['-9', '-f', `nginx: worker`])
            goes = false
            await Promise.all(writing)
            await pause(200)
            const back = spawnSync('bin/restore', [`${RUN}/saved.tar.gz`], { encoding: 'utf8' })
            const there = new Set(titles(`saved ${round} %`))
            const missing = sent.filter((one) => one.isThere && one.ended < began && !there.has(one.title))
            const later = sent.filter((one) => one.began > ended && there.has(one.title))
            before += sent.filter((one) => one.isThere && one.ended < began).length
            after += sent.filter((one) => one.isThere && one.began > ended).length
            const isRight = said === 0 && back.status === 0 && missing.length === 0 && later.length === 0 && whole() === 'ok 0'
            isRight ? right++ : console.log(`round ${round}: saved ${said}, restored ${back.status} ${back.stderr}, missing ${missing.length}, from later ${later.length}, ${whole()}`)
            execFileSync('sh', ['-c', `php-fpm8.2 --allow-to-run-as-root --fpm-config ${RUN}/php-fpm.conf; nginx -c ${RUN}/nginx.conf`])
            agent = new Agent({ keepAlive: true, maxSockets: 50, rejectUnauthorized: false })
            await pause(300)
            const up = await ask('/up')
            up.status === 200 || console.log(`round ${round}: /up says ${up.status}`)
        }
        console.log(`${right} of ${count} restores right: ${before} lines acknowledged before, all there; ${after} after, none there`)
        return right === count
    },

    async neighbours() {
        const [hostile, calm] = cookies
        const never = (i) => `BEGIN:VEVENT\r\nUID:never-${i}\r\nSUMMARY:Never\r\nDTSTART:20260101T090000Z\r\nDURATION:PT1H\r\nRRULE:FREQ=SECONDLY;BYSETPOS=2\r\nEND:VEVENT\r\n`
        const daily = (i) => `BEGIN:VEVENT\r\nUID:d${i}-${random(1e9)}\r\nSUMMARY:Daily ${i}\r\nDTSTART:20250101T090000Z\r\nDURATION:PT15M\r\nRRULE:FREQ=DAILY\r\nEND:VEVENT\r\n`
        const message = (i) => `From a@b Wed Mar 11 08:00:00 2026\nFrom: Prue <prue@example.org>\nSubject: Proof ${i}\nMessage-ID: <${i}.${random(1e9)}@x>\n\n${'A line of a letter that goes on. '.repeat(20)}\n\n`
        const files = [
            () => `BEGIN:VCALENDAR\r\n${Array.from({ length: 50 }, (_, i) => never(i)).join('')}END:VCALENDAR\r\n`,
            () => `BEGIN:VCALENDAR\r\n${Array.from({ length: 2000 }, (_, i) => daily(i)).join('')}END:VCALENDAR\r\n`,
            () => `BEGIN:VCALENDAR\r\n${'\r\n'.repeat(4_000_000)}BEGIN:VEVENT\r\nUID:1\r\nSUMMARY:a\r\nDTSTART:20260311T090000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`,
            () => ['/gather/mailbox', 'file', Array.from({ length: 5000 }, (_, i) => message(i)).join('')],
            () => ['/gather/files', 'file', `title,note\n${Array.from({ length: 100_000 }, (_, i) => `Task ${i} ${random(1e9)},a note\n`).join('')}`],
            () => `BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:2\r\nDTSTART:20260311T090000Z\r\nSUMMARY:a${'\r\n b'.repeat(2_000_000)}\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`,
        ]
        const work = (seconds) => working(calm, seconds)
        await work(5)
        const idle = await work(count / 3)
        let goes = true
        let sent = 0
        let refused = 0
        let last = 0
        const attack = (async () => {
            for (let i = 0; goes; i++) {
                const made = files[i % files.length]()
                const [path, field, text] = typeof made === 'string' ? ['/meetings', 'calendar', made] : made
                const answer = await ask(path, { cookie: hostile, file: { field, text, name: { '/meetings': 'a.ics', '/gather/mailbox': 'a.mbox', '/gather/files': 'a.csv' }[path] } })
                const known = Number(php('echo (new PDO("sqlite:$argv[1]"))->query("select max(id) from intakes")->fetchColumn();', DB_DATABASE))
                known > last ? sent++ : refused++
                last = Math.max(last, known)
                answer.to?.includes('/gather/files/') && await ask(new URL(answer.to).pathname, { cookie: hostile, fields: {} })
                await pause(500)
            }
        })()
        const beside = await work(count)
        goes = false
        await attack
        for (const kind of ['page', 'change']) {
            console.log(`${kind}: idle median ${median(idle[kind]).toFixed(0)} ms, 95th ${at95(idle[kind]).toFixed(0)}; beside hostile files ${median(beside[kind]).toFixed(0)} ms (${(median(beside[kind]) / median(idle[kind])).toFixed(2)} ×), 95th ${at95(beside[kind]).toFixed(0)}`)
        }
        console.log(`${sent} hostile files taken on, ${refused} refused; faults ${JSON.stringify(beside.faults)}`)
        console.log(php('$d = new PDO("sqlite:$argv[1]"); foreach ($d->query("select stage, count(*) from intakes group by stage") as $r) echo "$r[0] $r[1]  ";', DB_DATABASE))
        return beside.faults.length === 0 && median(beside.page) <= 2 * median(idle.page) && median(beside.change) <= 2 * median(idle.change)
    },

    async clients() {
        const until = Date.now() + 1000 * count
        const statuses = {}
        let asked = 0
        const minutes = (async () => {
            while (Date.now() < until) {
                spawnSync('true')
                await new Promise((resolve) => spawn('php', ['artisan', 'nekto:minute', '-q']).on('close', resolve))
                await pause(5000)
            }
        })()
        const paths = ['/shape', '/gather', '/weigh', '/weigh/list', '/work', '/close', '/projects', '/meetings', '/settings', '/account', '/views', '/search?q=texts', '/outbox', '/pulse?window=w&held=']
        const changes = [['/gather', () => ({ lines: `Ring ${random(1e6)} tomorrow for 20 min` })], ['/plan/lay-out', () => ({})], ['/plan/undo', () => ({})], ['/plan/redo', () => ({})], ['/settings/contexts', () => ({ context: `place ${random(1e6)}` })], ['/close', () => ({ went_well: 'x' })], ['/work/pause', () => ({})]]
        await Promise.all(cookies.slice(1, 9).map(async (cookie) => {
            while (Date.now() < until) {
                const [path, fields] = changes[random(changes.length)]
                const answer = random(3) ? await ask(paths[random(paths.length)], { cookie }) : await ask(path, { cookie, fields: fields() })
                statuses[answer.status] = (statuses[answer.status] ?? 0) + 1
                asked++
                answer.status >= 500 && console.log(answer.status, path, answer.text.slice(0, 200))
            }
        }))
        await minutes
        const logs = readdirSync(`${RUN}/storage/logs`).map((name) => readFileSync(`${RUN}/storage/logs/${name}`, 'utf8')).join('')
        const errors = (logs.match(/production\.(ERROR|CRITICAL)/g) ?? []).length
        console.log(`${asked} requests of eight people in ${count} s: ${JSON.stringify(statuses)}; ${errors} errors in the log; the database: ${whole()}`)
        errors > 0 && console.log(logs.match(/.*production\.(ERROR|CRITICAL).*/g).slice(0, 5).join('\n').slice(0, 2000))
        return !Object.keys(statuses).some((status) => Number(status) >= 500 || status === '0') && errors === 0
    },
}

process.exit((await runs[what]()) ? 0 : 1)
