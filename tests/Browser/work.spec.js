import { expect, test } from './ines.js'
import { artisan, setClock } from './server.js'

/* A day from its proposal to its account, by keys. */

test('a day is proposed, changed, taken and undone by keys', async ({ page }) => {
    await page.keyboard.press('y')
    await expect(page.getByRole('heading', { name: 'A day that fits' })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Can wait' })).toBeVisible()
    await page.locator('.proposal').getByText('Run', { exact: true }).click()
    await page.getByRole('button', { name: 'Take it and lay it out' }).click()
    await expect(page.getByRole('status')).toContainText('6 tasks are picked and laid out.')
    await page.keyboard.press('u')
    await expect(page.getByRole('status')).toContainText('Picked no more')
})

test('the clock runs on through reloads, pauses and more time, and the next windows see it', async ({ page, context }) => {
    await page.goto('/work')
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wall texts, room 3')
    await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible()
    setClock('2026-03-11T10:40:00+00:00')
    await page.reload()
    await expect(page.getByText('35 min done today')).toBeVisible()
    await page.keyboard.press('Space')
    await expect(page.getByRole('status')).toContainText('Paused.')
    const other = await context.newPage()
    await other.goto('/work')
    await expect(other.getByRole('button', { name: /^Go on/ })).toBeVisible()
    await other.close()

    setClock('2026-03-11T11:20:00+00:00')
    await page.reload()
    await page.keyboard.press('Space')
    await expect(page.getByRole('status')).toContainText('The clock runs for Wall texts')
    await page.keyboard.press('b')
    await expect(page.getByLabel('By whom or what?')).toBeFocused()
    await page.keyboard.type('Tomás')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('Wall texts, room 3 waits for Tomás.')
    await page.goto('/gather')
    await expect(page.getByRole('region', { name: 'Waiting' })).toContainText('Wall texts, room 3')
})

test('the day is closed by keys with three lines, and can be opened again', async ({ page }) => {
    setClock('2026-03-11T17:32:00+00:00')
    artisan('nekto:minute')
    await page.goto('/close')
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Account of Wednesday 11 March')
    await expect(page.locator('.unfinished', { hasText: 'Call the Porto lender' })).toContainText('Thu 12, 09:00')
    await page.getByLabel('went well').focus()
    await page.keyboard.type('Panel 3.3 holds.')
    await page.keyboard.press('Tab')
    await page.keyboard.type('The walk-through ran over.')
    await page.keyboard.press('Enter') // in a line it keeps the lines, and goes on to the next
    await expect(page.getByRole('status')).toContainText('kept')
    await expect(page.locator('#tomorrow')).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.locator('#main')).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('The day is closed.')
    await expect(page.getByText('closed at 17:32')).toBeVisible()
    await page.getByRole('button', { name: 'Open it again' }).click()
    await expect(page.getByLabel('went well')).toHaveValue('Panel 3.3 holds.')
})

test('a reminder comes to the page and as a notification of the browser, in one window only', async ({ page, context }) => {
    await context.addInitScript(() => {
        window.told = []
        window.Notification = class {
            static permission = 'granted'

            constructor(title, { body }) {
                window.told.push(`${title}: ${body}`)
            }
        }
    })
    setClock('2026-03-11T12:11:00+00:00')
    await page.goto('/gather')
    await expect(page.locator('.reminder')).toContainText('Reply to Maas Archive')
    expect(await page.evaluate(() => window.told)).toEqual(['Reply to Maas Archive: Laid out for 12:15–12:30.'])
    const other = await context.newPage()
    await other.goto('/gather')
    await other.waitForTimeout(4000)
    await expect(other.locator('.reminder')).toHaveCount(0)
    await other.close()

    await page.goto('/work')
    await expect(page.locator('.reminder'), 'it stays over other pages').toContainText('Reply to Maas Archive')
    expect(await page.evaluate(() => window.told)).toEqual([])
    await page.getByRole('button', { name: /Put away/ }).click()
    await expect(page.locator('.reminder')).toHaveCount(0)
    await page.goto('/gather')
    await page.waitForTimeout(4000)
    await expect(page.locator('.reminder')).toHaveCount(0)
})

test('a reminder whose answer comes while the page is being left is not lost', async ({ page }) => {
    let cut = 0
    await page.route('**/pulse?*', async (route) => {
        const response = await route.fetch()
        const { reminders } = await response.json()
        return reminders.length > 0 && cut++ === 0 ? route.abort() : route.fulfill({ response })
    })
    setClock('2026-03-11T12:11:00+00:00')
    await page.goto('/gather')
    await expect.poll(() => cut).toBeGreaterThan(0)
    await page.goto('/work')
    await expect(page.locator('.reminder')).toContainText('Reply to Maas Archive')
    await page.unrouteAll({ behavior: 'ignoreErrors' }) // a question may still be on its way
})

test('done sounds softly, unless the person wants it quiet', async ({ page, context }) => {
    await context.addInitScript(() => {
        window.tones = 0
        const part = { setValueAtTime() {}, linearRampToValueAtTime() {}, exponentialRampToValueAtTime() {} }
        window.AudioContext = class {
            currentTime = 0

            createOscillator() {
                return { frequency: {}, connect: (next) => next, start: () => { window.tones++ }, stop() {} }
            }

            createGain() {
                return { gain: part, connect() {} }
            }
        }
    })
    await page.goto('/work')
    await page.keyboard.press('d')
    await expect(page.locator('#said')).toContainText('Done.')
    expect(await page.evaluate(() => window.tones)).toBe(2)

    await page.goto('/settings/rhythm')
    await page.getByRole('checkbox', { name: 'A soft sound when something is done' }).uncheck()
    await expect(page.locator('#said')).toBeVisible()
    await page.goto('/work')
    await page.keyboard.press('d')
    await expect(page.locator('#said')).toContainText('Done.')
    expect(await page.evaluate(() => window.tones)).toBe(0)
})

test('the quiet form shows nothing but the task, and Escape leads back', async ({ page }) => {
    await page.goto('/work')
    await page.keyboard.press('i')
    await expect(page.locator('#quiet-title')).toHaveText('Wall texts, room 3')
    await expect(page.locator('header')).toHaveCount(0)
    await page.keyboard.press('Space')
    await expect(page.locator('#said')).toContainText('Paused.')
    await page.keyboard.press('Escape')
    await expect(page.locator('.work-buttons')).toBeVisible()
})

test('what is left over is sent elsewhere from the account itself', async ({ page }) => {
    setClock('2026-03-11T17:32:00+00:00')
    artisan('nekto:minute')
    await page.goto('/close')
    const row = page.locator('.unfinished', { hasText: 'Reply to Maas Archive' })
    await row.getByText('Change', { exact: true }).click()
    await row.getByLabel('Another day').fill('2026-03-16')
    await row.getByRole('button', { name: 'Send it there' }).click()
    await expect(page.locator('#said')).toContainText('Nothing has moved yet.')
    await page.getByRole('button', { name: 'All the same' }).click()
    await expect(page.locator('#said')).toContainText('Sent there.')
    await expect(row).toContainText('Mon 16')
})
