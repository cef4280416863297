import { faults } from './faults.js'
import { block, drag, expect, signIn, test, time } from './ines.js'
import { artisan, setClock } from './server.js'

test('a captured line becomes a block of the day', async ({ page }) => {
    await page.keyboard.press('.')
    await page.keyboard.type('Draft the wall text for room 2 for 30 min by today 17:00')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('Caught: Draft the wall text for room 2')
    await expect(page.getByRole('link', { name: /Gather/ })).toContainText('8')

    await page.goto('/gather')
    await page.getByRole('link', { name: 'Draft the wall text for room 2' }).focus()
    await page.keyboard.press('w')
    await expect(page.locator('.inbox').first()).not.toContainText('Draft the wall text')

    await page.goto('/weigh/list')
    const row = page.locator('tr', { hasText: 'Draft the wall text for room 2' })
    await row.focus()
    await page.keyboard.press('4')
    await expect(row.getByRole('button', { name: 'vital' })).toHaveAttribute('aria-pressed', 'true')

    await page.goto('/shape')
    expect(await time(page, 'Draft the wall text for room 2'), 'it is due today and has its time as soon as it is weighed, out of the margin').toBe('16:10–16:40')
    await page.keyboard.press('l')
    await expect(page.getByRole('heading', { name: 'Laid out anew' })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('Laid out for four weeks.')
    await expect(block(page, 'Draft the wall text for room 2')).toBeVisible()
})

test('a dragged block is anchored, the others make way, and undo brings everything back', async ({ page }) => {
    const before = await page.locator('.sheet').innerText()
    const move = await drag(page, block(page, 'Essay 2 corrections'), { minutes: 60 })
    await expect(page.locator('.ghost')).toHaveText('15:45–16:45')
    await move.drop()

    await expect(page.getByRole('status')).toContainText('Moved and anchored.')
    expect(await time(page, 'Essay 2 corrections')).toBe('15:45–16:45')
    await expect(block(page, 'Essay 2 corrections')).toHaveAttribute('aria-label', /anchored/)
    expect(await time(page, 'Budget revision')).not.toBe('15:45–16:10')

    await page.keyboard.press('u')
    await expect(page.getByRole('status')).toContainText('The block is back where it was.')
    expect(await page.locator('.sheet').innerText()).toBe(before)
})

test('an edge drags the length, and released blocks may move again', async ({ page }) => {
    const budget = block(page, 'Budget revision')
    const box = await budget.boundingBox()
    const edge = await drag(page, budget, { minutes: 15, grab: box.height - 2 })
    await edge.drop()
    await expect(page.getByRole('status')).toContainText('Moved and anchored; its estimate grew from 25 min to 40 min.')
    expect(await time(page, 'Budget revision')).toBe('15:45–16:25')

    await block(page, 'Budget revision').click()
    await expect(page.getByRole('heading', { name: 'Why here' })).toBeVisible()
    await page.getByRole('button', { name: /^Release/ }).click()
    await expect(page.getByRole('status')).toContainText('Released')
    await expect(block(page, 'Budget revision')).not.toHaveAttribute('aria-label', /anchored/)
})

test('a task of the bank is dropped onto the day', async ({ page }) => {
    const sheet = await page.locator('.sheet').boundingBox()
    const row = page.getByRole('row', { name: /^Case list for Wim/ })
    const move = await drag(page, row, { toX: sheet.x + 200, toY: sheet.y + 8 + (16.5 * 60 + 20 - 8.5 * 60) * 1.04 })
    await move.drop()
    await expect(page.getByRole('status')).toContainText('Placed and anchored.')
    expect(await time(page, 'Case list for Wim')).toBe('16:50–17:30')
})

test('a drop on a fixed block is refused in plain words and nothing moves', async ({ page }) => {
    const move = await drag(page, block(page, 'Essay 2 corrections'), { minutes: -90 })
    await move.drop()
    await expect(page.getByRole('alert')).toContainText('Call the Porto lender is fixed there, 13:15–13:45')
    expect(await time(page, 'Essay 2 corrections')).toBe('14:45–15:45')
})

test('a block is marked as a key task by its key, and a fourth is refused with the three named', async ({ page }) => {
    await expect(page.locator('#sheet-title + .soft')).toContainText('7 picks, 2 key, 3 meetings')
    await block(page, 'Budget revision').click()
    await expect(block(page, 'Budget revision')).toHaveAttribute('aria-current', 'true')
    await page.keyboard.press('k')
    await expect(page.locator('#said')).toContainText('A key task of the day.')
    await expect(block(page, 'Budget revision').locator('.key-word')).toBeVisible()
    await expect(page.locator('#sheet-title + .soft')).toContainText('7 picks, 3 key')

    await block(page, 'Courier quotes').click()
    await expect(block(page, 'Courier quotes')).toHaveAttribute('aria-current', 'true')
    await page.keyboard.press('k')
    await expect(page.getByRole('alert')).toContainText('“Wall texts, room 3”, “Essay 2 corrections”, “Budget revision: freight lines”')
    await block(page, 'Budget revision').click()
    await expect(block(page, 'Budget revision')).toHaveAttribute('aria-current', 'true')
    await page.keyboard.press('k')
    await expect(page.locator('#said')).toContainText('A pick like the others.')
    await page.keyboard.press('u')
    await expect(page.locator('#said')).toContainText('A key task again.')
})

test('the whole sheet is worked by keys alone', async ({ page }) => {
    await block(page, 'Essay 2 corrections').focus()
    await page.keyboard.press('ArrowDown')
    await expect(block(page, 'Budget revision')).toBeFocused()
    await page.keyboard.press('ArrowUp')

    await page.keyboard.press('Shift+ArrowDown')
    await page.keyboard.press('Shift+ArrowDown')
    await expect(page.locator('.ghost')).toHaveText('14:55–15:55')
    await page.keyboard.press('Escape')
    await expect(page.locator('.ghost')).toHaveCount(0)
    await page.keyboard.press('Shift+ArrowDown')
    await page.keyboard.press('Shift+ArrowLeft')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('Moved and anchored.')
    expect(await time(page, 'Essay 2 corrections')).toBe('14:50–15:45')

    await block(page, 'Essay 2 corrections').focus()
    await page.keyboard.press('a')
    await expect(page.getByRole('status')).toContainText('Released')

    await block(page, 'Wall texts, room 3').focus()
    await page.keyboard.press('m')
    await expect(page.getByLabel('Left')).toBeFocused()
    await page.keyboard.type('40 min')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('Part done')
    await expect(page.locator('.sheet .block-part')).toContainText('Wall texts, room 3')

    await page.goto('/shape')
    await block(page, 'Courier quotes').focus()
    await page.keyboard.press('d')
    await expect(page.getByRole('status')).toContainText('Done.')
    await page.keyboard.press('u')
    await expect(block(page, 'Courier quotes')).toBeVisible()

    await page.getByRole('row', { name: /^Case list for Wim/ }).focus()
    await page.keyboard.press('p')
    await expect(page.getByRole('status').or(page.getByRole('alert')).first()).toContainText(/Placed and anchored|no free stretch/)

    await page.keyboard.press('?')
    await expect(page.getByRole('dialog')).toContainText('catch a thought')
    await page.keyboard.press('Escape')
    await page.keyboard.press(',')
    await page.keyboard.press('g')
    await page.waitForURL('**/gather')
})

test('work whose time has passed is placed again by itself, says why, and undo brings the plan back', async ({ page }) => {
    const before = await page.locator('.sheet [data-list]').innerText()
    setClock('2026-03-11T11:35:00+00:00')
    artisan('nekto:minute')
    await page.reload()

    const note = page.locator('#change-note')
    await expect(note).toContainText('Moved by itself')
    await expect(note).toContainText('Wall texts, room 3')
    await expect(note).toContainText('Its time went by and it was not done.')
    await expect(page.locator('.sheet .block-part')).toContainText('Wall texts, room 3')
    await expect(page.locator('.sheet .block-planned', { hasText: 'Wall texts, room 3' }).first()).toContainText('1')

    await note.getByRole('button', { name: /Undo/ }).click()
    await expect(page.getByRole('status')).toContainText('The former plan is back')
    expect(await page.locator('.sheet [data-list]').innerText()).toBe(before)
    artisan('nekto:minute')
    await page.reload()
    expect(await page.locator('.sheet [data-list]').innerText()).toBe(before)
})

test('a calendar file brings meetings in with progress and moves the block beneath', async ({ page }) => {
    const events = []
    for (let i = 0; i < 600; i++) {
        events.push(`BEGIN:VEVENT\r\nUID:old-${i}\r\nSUMMARY:Old ${i}\r\nDTSTART:20260${1 + (i % 2)}10T090000Z\r\nDURATION:PT30M\r\nEND:VEVENT`)
    }
    events.push('BEGIN:VEVENT\r\nUID:review\r\nSUMMARY:Lighting review\r\nDTSTART;TZID=Europe/Lisbon:20260311T144500\r\nDURATION:PT1H\r\nEND:VEVENT')
    events.push('BEGIN:VEVENT\r\nUID:broken\r\nSUMMARY:Broken\r\nDTSTART:20260231T090000Z\r\nEND:VEVENT')
    await page.goto('/meetings')
    await page.getByLabel('Choose a file').setInputFiles({
        name: 'museum.ics', mimeType: 'text/calendar', buffer: Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.join('\r\n')}\r\nEND:VCALENDAR\r\n`),
    })
    await page.getByRole('button', { name: 'Bring it in' }).click()
    await expect(page.getByRole('progressbar')).toHaveAttribute('aria-valuenow', '100', { timeout: 20_000 })
    await expect(page.locator('main')).toContainText('601 new')
    await expect(page.locator('main')).toContainText('DTSTART is no date or time')
    expect(await faults(page)).toEqual([])

    await page.getByRole('link', { name: 'To today', exact: true }).click()
    await expect(page.locator('#change-note')).toContainText('Lighting review, 14:45–15:45, took its place.')
    await expect(page.locator('.sheet')).toContainText('Lighting review')
})

test('what is understood stands beneath the words and can be refused', async ({ page }) => {
    await page.goto('/gather')
    await page.getByRole('textbox', { name: 'New lines' }).fill('Send Ghent the letter by friday noon, 25 min\nPay by 31 feb')
    await expect(page.getByRole('button', { name: 'due Fri 13, 12:00' })).toBeVisible()
    await expect(page.getByRole('button', { name: /There is no such date/ })).toBeVisible()
    await page.getByRole('button', { name: 'due Fri 13, 12:00' }).focus()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('button', { name: 'due Fri 13, 12:00' })).toHaveCount(0)
    await page.keyboard.press('Control+Enter')
    await expect(page.locator('.inbox').first()).toContainText('Send Ghent the letter by friday noon')
    await expect(page.locator('.inbox').first()).toContainText('Pay by 31 feb')
    await expect(page.getByRole('textbox', { name: 'New lines' })).toHaveValue('')
})

test('a due date is typed in Weigh as one says it and set when the field is left', async ({ page }) => {
    await page.goto('/weigh/list')
    const row = page.locator('tr', { hasText: 'Bench for room 1' })
    await row.focus()
    await page.keyboard.press('t')
    await page.keyboard.press('Control+a')
    await page.keyboard.type('20 march')
    await page.keyboard.press('Tab')
    await expect(page.getByRole('status')).toContainText('Bench for room 1 is saved.')
    await page.reload()
    await expect(row.getByLabel(/^Due date/)).toHaveValue('Fri 20 Mar 2026')

    await row.focus()
    await page.keyboard.press('m')
    await page.keyboard.type('soon')
    await page.keyboard.press('Enter')
    await expect(row.getByRole('alert')).toContainText('Write a duration such as 45 min')
    await expect(row.getByLabel(/^Estimate/)).toHaveValue('soon')
})

test('two devices on the same block: the second is told and loses nothing', async ({ page, context, browser }) => {
    const elsewhere = await browser.newContext({ storageState: await context.storageState(), viewport: page.viewportSize() })
    const second = await elsewhere.newPage()
    await second.route('**/pulse?*', (route) => route.abort()) // it has not heard of it yet
    await second.goto('/shape')
    const first = await drag(page, block(page, 'Courier quotes'), { minutes: 10 })
    await first.drop()
    await expect(page.getByRole('status')).toContainText('Moved and anchored.')

    const late = await drag(second, block(second, 'Courier quotes'), { minutes: -15 })
    await late.drop()
    await expect(second.getByRole('alert')).toContainText('Another window changed “Courier quotes, three crates” meanwhile: it now lies 16:40–17:00.')
    expect(await time(second, 'Courier quotes')).toBe('16:40–17:00')
    await elsewhere.close()
})

test('signing out and up again gives an empty, teaching account', async ({ page }) => {
    await page.locator('.person summary').click()
    await page.getByRole('button', { name: 'Sign out' }).first().click()
    await page.waitForURL('**/sign-in')
    await page.goto('/sign-up')
    await page.getByLabel('Your name').fill('Wim Adler')
    await page.getByLabel('Mail address').fill('wim@example.org')
    await page.getByLabel('Password').fill('short')
    await page.getByRole('button', { name: 'Open it' }).click()
    await expect(page.locator('main')).toContainText('12 characters')
    await expect(page.getByLabel('Your name')).toHaveValue('Wim Adler')
    await page.getByLabel('Password').fill('long enough now')
    await page.getByRole('button', { name: 'Open it' }).click()
    await page.waitForURL('**/first-day')
    await page.goto('/gather')
    await expect(page.locator('main')).toContainText('Nothing has come in.')
    await page.goto('/weigh')
    await expect(page.locator('main')).toContainText('Nothing to weigh.')
    await page.goto('/shape')
    await page.keyboard.press('l')
    await expect(page.locator('#difference')).toContainText('There is nothing to lay out yet')
})

test('everything can be read and done before a script runs', async ({ browser, page }) => {
    const plain = await browser.newContext({ javaScriptEnabled: false })
    const quiet = await plain.newPage()
    await signIn(quiet)
    await quiet.locator('.sheet a.block', { hasText: 'Courier quotes' }).click()
    await expect(quiet.getByRole('heading', { name: 'Why here' })).toBeVisible()
    await quiet.getByRole('button', { name: /^Anchor/ }).click()
    await expect(quiet.getByRole('status')).toContainText('Anchored.')
    await quiet.locator('#said').getByRole('button', { name: /Undo/ }).click()
    await expect(quiet.locator('.sheet')).toContainText('Courier quotes')
    await plain.close()
    await expect(page.locator('.sheet')).toBeVisible()
})
