import { expect, test } from './ines.js'
import { artisan, setClock } from './server.js'

/* A day from its proposal to its account, by keys. */

test('a day is proposed, changed, taken and undone by keys', async ({ page }) => {
    await page.keyboard.press('y')
    await expect(page.getByRole('heading', { name: 'A day that fits' })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Can wait' })).toBeVisible()
    await page.locator('.proposal').getByText('Run', { exact: true }).click()
    await page.getByRole('button', { name: 'Take it and lay it out' }).click()
    await expect(page.getByRole('status')).toContainText('7 tasks are picked and laid out.')
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
    await expect(page.locator('#unfinished-4')).toContainText('Tue 17, 15:20')
    await page.getByLabel('went well').focus()
    await page.keyboard.type('Panel 3.3 holds.')
    await page.keyboard.press('Tab')
    await page.keyboard.type('The walk-through ran over.')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status')).toContainText('The day is closed.')
    await expect(page.getByText('closed at 17:32')).toBeVisible()
    await page.getByRole('button', { name: 'Open it again' }).click()
    await expect(page.getByLabel('went well')).toHaveValue('Panel 3.3 holds.')
})
