import { expect, signIn, test } from './ines.js'
import { artisan, HOST, kill, number, PORT, reset, serve, setClock } from './server.js'

/*
 * Thursday from the morning run to the next morning: three meetings, one of them cancelled, one added at noon, a task
 * done early, one that overruns, one blocked, others left over. Once by keys alone, once by pointer: both hands must
 * end in the same plan, to the minute.
 */

const at = (time) => setClock(`2026-03-${time.length > 5 ? time.slice(0, 2) : '12'}T${time.slice(-5)}:00+00:00`)

const event = (uid, title, from, to, status = 'CONFIRMED') => `BEGIN:VEVENT\r\nUID:${uid}@example.org\r\nDTSTAMP:20260310T080000Z\r\nSUMMARY:${title}\r\nDTSTART:20260312T${from}00Z\r\nDTEND:20260312T${to}00Z\r\nSTATUS:${status}\r\nEND:VEVENT\r\n`

/** Takes a calendar file in, as it would come from the museum's calendar. */
async function calendar(page, ...events) {
    await page.goto('/meetings')
    await page.locator('input[type=file]').setInputFiles({ name: 'museum.ics', mimeType: 'text/calendar', buffer: Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//museum//EN\r\n${events.join('')}END:VCALENDAR\r\n`) })
    await page.locator('form[enctype] button').click()
    await expect(page.getByRole('heading', { name: 'Brought in' })).toBeVisible()
}

/** The day's blocks as "09:00–09:30 Title", what is over with its state. */
async function blocks(page, address = '/shape') {
    await page.goto(address)
    const labels = await page.locator('.sheet a.block').evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')))
    return labels.map((label) => label.replace(/^(.*), (\d\d:\d\d–\d\d:\d\d), [^,]*(?:, key task)?(?:, deep)?(, anchored)?(?:, (done|part|passed))?$/, (_, title, time, anchored, state) => `${time} ${title}${anchored ? '!' : ''}${state ? ` (${state})` : ''}`))
}

const keys = (page) => {
    let pressed = 0
    const press = async (key) => {
        pressed += key.replace('Shift+', '').split('').length > 1 && !/^(Enter|Space|Tab|Escape|Arrow\w+)$/.test(key) ? key.length : 1
        await page.keyboard.press(key)
    }
    return {
        count: () => pressed,
        press: (key) => press(key),
        type: (text) => page.keyboard.type(text),
        go: async (letter) => {
            await press(',')
            await press(letter)
        },
    }
}

const pointer = (page) => {
    const names = { j: /^J morning/, d: /^Done/, ' ': /^(Start|Go on|Pause)/, b: /^Blocked/ }
    const places = { s: '/shape', k: '/work', c: '/close' }
    return {
        press: async (key) => {
            if (key === 'Enter') {
                await page.locator('[data-first], details.asks[open] .button-main, [data-enter]').first().click()
            } else if (key === 'Tab') {
                await page.keyboard.press('Tab')
            } else {
                const control = page.locator(`[data-page-key="${key === 'Space' ? ' ' : key}"]`).first()
                expect(names[key === 'Space' ? ' ' : key]).toBeDefined()
                await control.click()
                if (key === 'b') {
                    await page.getByLabel('By whom or what?').click()
                }
            }
        },
        type: (text) => page.keyboard.type(text),
        go: (letter) => page.locator(`.stations a[href="${places[letter]}"]`).click(),
    }
}

/** @returns what lies on Friday the next morning */
async function wholeDay(page, hand) {
    at('08:40')
    await calendar(page, event('crates', 'Crate visit', '1330', '1400'))

    // the clock of the day before was forgotten
    await page.goto('/work')
    await expect(page.getByRole('heading', { name: 'The clock still runs' })).toBeVisible()
    await hand.press('Enter')
    await expect(page.locator('#said')).toContainText('The minutes are kept.')
    await page.goto('/shape')

    // morning
    const begun = hand.count?.() ?? 0
    for (const [key, title] of [['j', 'Left from before'], ['Enter', 'What today holds'], ['Enter', 'Candidates'], ['Enter', 'A day that fits'], ['Enter', 'What can wait'], ['Enter', 'A day that fits, laid out'], ['Enter', 'The day is laid out']]) {
        await hand.press(key)
        await expect(page.locator('#morning h2').last()).toHaveText(title)
    }
    if (hand.count) {
        expect(hand.count() - begun).toBeLessThanOrEqual(10)
        test.info().annotations.push({ type: 'figure', description: `morning run: ${hand.count() - begun} keys` })
    }
    await hand.press('Enter')
    await expect(page).toHaveURL(/\/work$/)
    const morning = await blocks(page)

    // done early, after three minutes
    at('09:00')
    await page.goto('/work')
    const first = await page.locator('#work-title').textContent()
    await hand.press('Space')
    await expect(page.locator('#said')).toContainText('The clock runs')
    at('09:03')
    await page.reload()
    await hand.press('d')
    await expect(page.locator('#said')).toContainText('Done.')

    // stopped by a meeting, and asked afterwards whether it went on
    const second = await page.locator('#work-title').textContent()
    expect(second).not.toBe(first)
    await hand.press('Space')
    await expect(page.locator('#said')).toContainText(`The clock runs for ${second}`)
    at('10:30')
    artisan('nekto:minute')
    at('11:05')
    artisan('nekto:minute')
    await page.goto('/work')
    await expect(page.getByRole('heading', { name: 'Did the work go on?' })).toBeVisible()
    await hand.press('Enter')
    await expect(page.locator('#said')).toContainText('The minutes are kept.')

    // what is next overruns
    const next = await page.locator('#work-title').textContent()
    await hand.press('Space')
    await expect(page.locator('#said')).toContainText(`The clock runs for ${next}`)
    const until = (await blocks(page)).find((one) => one.includes(next) && !one.includes('(')).slice(6, 11)
    at(plus(until, 4))
    artisan('nekto:minute')
    const longer = (await blocks(page)).find((one) => one.includes(next) && !one.includes('('))
    expect(longer.slice(6, 11) > until).toBe(true)
    await page.goto('/work')
    await expect(page.locator('#work-title')).toHaveText(next)
    await hand.press('d')
    await expect(page.locator('#said')).toContainText('Done.')

    // noon: one meeting is cancelled, one is added
    at('12:25')
    await calendar(page, event('crates', 'Crate visit', '1330', '1400', 'CANCELLED'), event('press', 'Press call', '1615', '1700'))
    await expect(async () => { // the plan follows the file, a moment after its last line
        for (const block of (await blocks(page)).filter((one) => !one.includes('('))) {
            expect(block.slice(0, 5) >= '17:00' || block.slice(6, 11) <= '16:15', `${block} lies under the press call`).toBe(true)
        }
    }).toPass({ timeout: 10_000 })

    // blocked
    at('13:20')
    artisan('nekto:minute')
    await page.goto('/work')
    const third = await page.locator('#work-title').textContent()
    await hand.press('Space')
    await expect(page.locator('#said')).toContainText('The clock runs')
    at('13:30')
    await page.reload()
    await hand.press('b')
    await expect(page.getByLabel('By whom or what?')).toBeFocused()
    await hand.type('Tomás')
    await hand.press('Enter')
    await expect(page.locator('#said')).toContainText(`${third} waits for Tomás.`)

    // the day is closed
    at('17:20')
    artisan('nekto:minute')
    await page.goto('/work')
    const before = hand.count?.() ?? 0
    await hand.go('c')
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Account of Thursday 12 March')
    expect(await page.locator('.unfinished').count()).toBeGreaterThanOrEqual(2)
    await hand.press('Enter')
    await expect(page.locator('#said')).toContainText('The day is closed.')
    if (hand.count) {
        test.info().annotations.push({ type: 'figure', description: `closing: ${hand.count() - before} keys` })
    }

    at('13 08:40')
    artisan('nekto:minute')
    return { morning, done: [first, next], blocked: third, thursday: await blocks(page, '/shape/2026-03-12'), friday: await blocks(page) }
}

function plus(time, minutes) {
    const all = 60 * Number(time.slice(0, 2)) + Number(time.slice(3)) + minutes
    return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`
}

/** What is wrong in lines like "09:00–09:30 Title": two at once, or one that begins before the work hours or ends after the evening. */
function faults(lines) {
    const times = lines.map((line) => [line.slice(0, 5), line.slice(6, 11), line])
    return times.filter(([from, until], i) => from >= until || from < '09:00' || until > '18:30' || times.slice(i + 1).some((other) => other[0] < until)).map(([, , line]) => line)
}

const long = process.env.NEKTO_LONG ? test : test.skip // what takes long

long('a whole day by keys alone and by pointer ends in the same plan, to the minute', async ({ page }) => {
    const day = await wholeDay(page, keys(page))

    for (const lines of [day.morning, day.friday]) {
        expect(faults(lines)).toEqual([])
    }
    expect(day.morning.slice(0, 2)).toEqual(['09:00–10:00 Essay 2 corrections', '11:00–12:00 Essay 2 corrections']) // what pulls most, in as few pieces as can be
    expect(day.morning.filter((line) => line.slice(0, 5) < '14:00' && line.slice(6, 11) > '13:30')).toEqual([]) // the crate visit
    expect(day.done).toEqual(['Essay 2 corrections', 'Call the Porto lender'])
    expect(day.thursday.filter((line) => /\(done\)$/.test(line)).map((line) => line.slice(12, -7))).toEqual(day.done)
    expect(day.thursday[0]).toBe('09:00–09:03 Essay 2 corrections (done)')
    expect(day.thursday.filter((line) => line.endsWith(`${day.blocked} (part)`)).length).toBe(1)
    expect(day.thursday.filter((line) => line.slice(0, 5) < '17:00' && line.slice(6, 11) > '16:15')).toEqual([]) // the press call
    expect(day.thursday.filter((line) => !/\((done|part|passed)\)$/.test(line))).toEqual([])
    const titles = (lines) => [...new Set(lines.map((line) => line.slice(12)))]
    const gone = [...day.done, day.blocked]
    expect(titles(day.friday).filter((title) => gone.includes(title))).toEqual([])
    expect(titles(day.morning).filter((title) => !gone.includes(title) && !titles(day.friday).includes(title))).toEqual([]) // all that was left over goes on

    reset()
    expect(await wholeDay(page, pointer(page))).toEqual(day)
})

test('two windows of one browser show the same at once, without asking the server', async ({ page, context }) => {
    const other = await context.newPage()
    await context.route('**/pulse?*', (route) => route.abort())
    await other.goto('/shape')
    await page.goto('/work')
    await page.keyboard.press('d')
    await expect(page.locator('#said')).toContainText('Done.')
    await expect(other.locator('.sheet a.block-done', { hasText: 'Wall texts, room 3' })).toBeVisible({ timeout: 3000 })
    await other.close()
})


long('a window that is alone asks ever less often', async ({ page, context }) => {
    const asked = []
    setClock('2026-03-11T10:30:00+00:00') // a device that another test used minutes ago does not count any more
    context.on('request', (request) => request.url().includes('/pulse?') && asked.push(Date.now()))
    await page.goto('/work')
    await page.waitForTimeout(16_000)
    expect(asked.length).toBeGreaterThanOrEqual(2)
    expect(asked.length).toBeLessThanOrEqual(3) // after 3, 7.5 and 14.3 s
})

test('two devices of one account show the same within seconds', async ({ page, browser }) => {
    const elsewhere = await browser.newContext()
    const other = await elsewhere.newPage()
    await signIn(other)
    await other.goto('/shape')
    await page.goto('/work')
    await page.keyboard.press('d')
    await expect(page.locator('#said')).toContainText('Done.')
    await expect(other.locator('.sheet a.block-done', { hasText: 'Wall texts, room 3' })).toBeVisible({ timeout: 8000 })

    await other.keyboard.press('u')
    await expect(other.locator('#said')).toContainText('Not done after all.')
    await expect(page.locator('#work-title')).toHaveText('Wall texts, room 3', { timeout: 8000 })
    await elsewhere.close()
})

test('a window in which someone types is left alone until the hand is off', async ({ page, context }) => {
    const other = await context.newPage()
    await other.goto('/gather')
    await other.locator('#catch').fill('half a thou')
    await page.goto('/work')
    await page.keyboard.press('d')
    await expect(page.locator('#said')).toContainText('Done.')
    await other.waitForTimeout(4000)
    await expect(other.locator('#catch')).toHaveValue('half a thou')
    await other.close()
})

long('a server that dies between "done" and its answer loses nothing and doubles nothing', async ({ page }) => {
    const done = "select count(*) from tasks where short = 'Wall texts, room 3' and done_at is not null"
    for (const delay of [0, 10, 30, 60, 100, 160, 400]) {
        reset()
        let server = await serve(PORT + 1)
        try {
            await page.goto(`http://${HOST}:${PORT + 1}/work`)
            await expect(page.locator('#work-title')).toHaveText('Wall texts, room 3')
            await page.keyboard.press('d')
            await page.waitForTimeout(delay)
        } finally {
            kill(server)
        }
        await expect(page.locator('#network, #said').first()).toContainText(/Away from the network|Done\./)

        server = await serve(PORT + 1)
        try {
            await page.goto(`http://${HOST}:${PORT + 1}/work`)
            await expect.poll(() => number(done), 'it had waited in the browser, and came by itself').toBe(1)
            expect(number("select count(*) from plan_revisions where cause = 'done'")).toBe(1)
            expect(number('select count(*) from entries where ends_at is null')).toBe(0)
            expect(number("select count(*) from entries e join tasks t on t.id = e.task_id where short = 'Wall texts, room 3' and e.starts_at >= '2026-03-11'")).toBe(1)
            expect(number("select count(*) from blocks b join tasks t on t.id = b.task_id where short = 'Wall texts, room 3' and b.state = 'planned'")).toBe(0)
        } finally {
            kill(server)
        }
    }
})
