import { expect, test } from './ines.js'

test.use({ start: '/meetings' })

test('a calendar is taken out of planning and back by one key, and an invitation is answered', async ({ page }) => {
    await page.getByLabel('Museum blocks time').focus()
    await page.keyboard.press('Space')
    await expect(page.locator('#said')).toContainText('Museum is saved.')
    await expect(page.locator('.met-row', { hasText: 'Catalogue proofs' }).first()).toContainText('does not block')
    await page.locator('body').press('u')
    await expect(page.getByLabel('Museum blocks time')).toBeChecked()

    const row = page.locator('.met-row', { hasText: 'Transport briefing' })
    await row.getByText('answer it').focus()
    await page.keyboard.press('Enter')
    await row.getByRole('button', { name: 'Going', exact: true }).press('Enter')
    await expect(page.locator('#said')).toContainText('Going: Transport briefing. The answer is in your outbox.')
    await expect(row).toContainText('going')
    await expect(page.locator('.figure-line')).not.toContainText('to answer')
})

test('the next meeting is joined with one key, and prepared from its row', async ({ page, context }) => {
    await page.goto('/shape/2026-03-12')
    await context.route('https://video.harrow-lane.example/**', (route) => route.fulfill({ body: 'here' }))
    const [opened] = await Promise.all([context.waitForEvent('page'), page.keyboard.press('h')])
    expect(opened.url()).toBe('https://video.harrow-lane.example/room/school')
    await opened.close()

    await page.goto('/meetings')
    const row = page.locator('.met-row', { hasText: 'Lender agreements' })
    await row.hover()
    await row.getByRole('button', { name: /^A task that prepares/ }).click()
    await expect(row).toContainText('Prepare Lender agreements')
})

test('an address that is none is said at its field, and what was typed stays', async ({ page }) => {
    await page.getByLabel('The address of a calendar').fill('not an address')
    await page.keyboard.press('Enter')
    await expect(page.locator('#address-error')).toContainText('This is no address of a calendar')
    await expect(page.getByLabel('The address of a calendar')).toHaveValue('not an address')
})
