import { block, expect, test } from './ines.js'

test.use({ start: '/settings' })

const line = (page, day) => page.locator(`#best-${day}`)

/** A point of a day's strip by its hour. */
async function at(page, day, hour) {
    const box = await page.locator(`[data-best="best-${day}"]`).boundingBox()
    return [box.x + (box.width * (hour - 6)) / 16 + 2, box.y + box.height / 2]
}

async function drag(page, from, to) {
    await page.mouse.move(...from)
    await page.mouse.down()
    await page.mouse.move(to[0] - 4, to[1], { steps: 6 })
    await page.mouse.up()
}

test('best hours are drawn over several days, taken away, written, and kept', async ({ page }) => {
    await line(page, 'mon').scrollIntoViewIfNeeded()
    await drag(page, await at(page, 'mon', 9), await at(page, 'wed', 12))
    for (const day of ['mon', 'tue', 'wed']) {
        await expect(line(page, day)).toHaveValue('09:00–12:00')
    }
    await expect(line(page, 'thu')).toHaveValue('')

    await drag(page, await at(page, 'tue', 10), await at(page, 'tue', 11))
    await expect(line(page, 'tue')).toHaveValue('09:00–10:00, 11:00–12:00')

    await line(page, 'fri').fill('13:15 to 15')
    await expect(page.locator('[data-best="best-fri"] .best-on rect')).toHaveAttribute('width', '105')

    await page.getByRole('button', { name: 'Save best hours' }).click()
    await expect(page.locator('#said')).toContainText('Your best hours are saved.')
    await page.reload()
    await expect(line(page, 'tue')).toHaveValue('09:00–10:00, 11:00–12:00')
    await expect(line(page, 'fri')).toHaveValue('13:15–15:00')
})

test('what is no time is said where it was written, and what was drawn stays', async ({ page }) => {
    await line(page, 'mon').fill('mornings')
    await line(page, 'tue').fill('9-11')
    await page.getByRole('button', { name: 'Save best hours' }).click()
    await expect(line(page, 'mon')).toHaveAttribute('aria-invalid', 'true')
    await expect(line(page, 'mon')).toHaveValue('mornings')
    await expect(line(page, 'tue')).toHaveValue('9-11')
})

test('a day that is laid out anew begins with what is hardest where the person likes that', async ({ page }) => {
    await page.getByLabel('A day that is laid out begins').selectOption('hard')
    await page.locator('form[action="/settings"] .button-main').click()
    await expect(page.locator('#said')).toBeVisible()
    await page.goto('/shape')
    await page.keyboard.press('l')
    await expect(page.getByRole('heading', { name: 'Laid out anew' })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText(/laid out/i)
    await page.goto('/shape/2026-03-13')
    const labels = await page.locator('.sheet a.block').evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')))
    const office = labels.filter((label) => !/, Home/.test(label)).map((label) => /, deep/.test(label))
    expect(office.indexOf(false) === -1 || office.lastIndexOf(true) < office.indexOf(false)).toBe(true)
    await expect(block(page, labels[0].split(',')[0])).toBeVisible()
})
