import { execFileSync, spawn } from 'node:child_process'
import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))
const port = Number(process.env.E2E_PORT ?? 8765)
const folder = `${root}storage/framework/browser/${port}` // a run of its own for each port: two can go on side by side
const database = `${folder}/nekto.sqlite`
const template = `${folder}/template.sqlite`
const clock = `${folder}/now`

export const HOST = '127.0.0.1'
export const PORT = port
export const START = '2026-03-11T10:20:00+00:00'

export const environment = {
    ...process.env,
    APP_ENV: 'testing',
    APP_KEY: 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=',
    HASH_KILOBYTES: '64',
    HASH_ROUNDS: '1',
    QUEUE_CONNECTION: 'sync',
    LOG_CHANNEL: 'daily',
    APP_URL: `http://${HOST}:${PORT}`,
    DB_DATABASE: database,
    NEKTO_NOW: `file:${clock}`,
    CACHE_PATH: `${folder}/cache`,
    PHP_CLI_SERVER_WORKERS: '3',
}

/** Moves the clock of the running server. */
export function setClock(moment) {
    writeFileSync(`${clock}.next`, moment)
    renameSync(`${clock}.next`, clock) // whole at once: somebody may be reading it
}

/** Runs an artisan command against the test's database, at its clock. */
export function artisan(...words) {
    return execFileSync('php', ['artisan', ...words], { cwd: root, env: environment, encoding: 'utf8' })
}

/** The sample scenario as it was written, at 10:20. */
export function reset() {
    setClock(START) // first: a question of the last test's page may still be on its way
    for (const ending of ['', '-wal', '-shm']) {
        rmSync(database + ending, { force: true })
    }
    copyFileSync(template, database)
}

/** Who is signed in now is so after the next reset too: the cookies of one test serve the next. */
export function keepSignIns() {
    execFileSync('php', ['-r', `$d = new PDO("sqlite:${template}"); $d->exec("attach '${database}' as live"); $d->exec("insert or ignore into sign_ins select * from live.sign_ins where ended_at is null");`])
}

/** Writes the sample scenario once for all tests. */
export function prepare() {
    mkdirSync(folder, { recursive: true })
    rmSync(`${folder}/cache`, { recursive: true, force: true }) // what was counted against limits in an earlier run, at the same fixed time
    for (const ending of ['', '-wal', '-shm']) {
        rmSync(database + ending, { force: true })
    }
    writeFileSync(database, '')
    setClock(START)
    artisan('migrate', '--force', '--quiet')
    artisan('nekto:demo')
    // everything into the one file, so that a copy of it is whole
    execFileSync('php', ['-r', `$d = new PDO("sqlite:${database}"); $d->exec("pragma wal_checkpoint(truncate)"); $d->exec("pragma journal_mode=delete");`])
    if (!existsSync(database)) {
        throw new Error('The sample database was not written.')
    }
    copyFileSync(database, template)
}

/** A server of its own on the same database, for what must not be done to the one of all tests. Killed with kill(). */
export async function serve(port) {
    for (let tries = 0; await fetch(`http://${HOST}:${port}/alive`).catch(() => null); tries++) { // the one before may be dying still
        if (tries === 20) {
            throw new Error(`Something answers at port ${port}: left over by a run that was cut off?`)
        }
        await new Promise((resolve) => setTimeout(resolve, 100))
    }
    const server = spawn(`${root}bin/serve`, [HOST, String(port)], { cwd: root, env: environment, stdio: 'ignore', detached: true })
    for (let tries = 0; tries < 150; tries++) {
        const answer = await fetch(`http://${HOST}:${port}/alive`).catch(() => null)
        if (answer?.ok) {
            return server
        }
        await new Promise((resolve) => setTimeout(resolve, 100))
    }
    throw new Error('The second server did not come up.')
}

/** At once, with all its workers, whatever they are doing. */
export function kill(server) {
    process.kill(-server.pid, 'SIGKILL')
}

/** The number an SQL query gives. */
export function number(sql) {
    return Number(execFileSync('php', ['-r', `echo (new PDO("sqlite:${database}"))->query($argv[1])->fetchColumn();`, sql], { encoding: 'utf8' }))
}
