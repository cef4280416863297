import { block, drag, expect, test, time } from './ines.js'

/* What a hand does to the run sheet, and what it is told before it lets go. */

const menu = async (page, title) => {
    await block(page, title).click()
    await expect(page.locator('.why-task')).toContainText(title) // not the menu of the block before
    const more = page.locator('#shape-more')
    await expect(more).toBeVisible()
    if (!(await more.evaluate((element) => element.open))) {
        await more.locator('> summary').click()
    }
}

test('a drop in the air says what gives way and what the gauge would show, and leaves nothing behind', async ({ page }) => {
    const sum = page.locator('#gauge-sum')
    await expect(sum).toHaveText('4 h 00 of 4 h 00, 0 min free')
    await drag(page, block(page, 'Budget revision'), { minutes: -65 })
    await expect(page.locator('.drop-note')).toContainText('Essay 2 corrections →')
    await expect(block(page, 'Essay 2 corrections')).toHaveClass(/gives-way/)
    await expect(sum).toHaveText('3 h 35 of 3 h 44')

    await page.mouse.move(1200, 780, { steps: 4 }) // off the sheet: nothing is set down
    await page.mouse.up()
    await expect(page.locator('.drop-note')).toHaveCount(0)
    await expect(sum).toHaveText('4 h 00 of 4 h 00, 0 min free')
    expect(await time(page, 'Budget revision')).toBe('15:45–16:10')
})

test('a longer block says what becomes of its estimate before it is let go', async ({ page }) => {
    const budget = block(page, 'Budget revision')
    const box = await budget.boundingBox()
    const edge = await drag(page, budget, { minutes: 20, grab: box.height - 2 })
    await expect(page.locator('.drop-note')).toContainText('estimate 25 min → 45 min')
    await edge.drop()
    await expect(page.locator('#said')).toContainText('its estimate grew from 25 min to 45 min')
})

test('by keys a block says the same before it is set down', async ({ page }) => {
    await block(page, 'Budget revision').focus()
    for (let i = 0; i < 6; i++) {
        await page.keyboard.press('Shift+ArrowUp')
    }
    await expect(page.locator('.drop-note')).toContainText('Essay 2 corrections')
    await page.keyboard.press('Escape')
    await expect(page.locator('.drop-note')).toHaveCount(0)
})

test('a fixed block in the way is named before the drop', async ({ page }) => {
    await drag(page, block(page, 'Budget revision'), { minutes: -140 })
    await expect(page.locator('.drop-note')).toContainText('Call the Porto lender is fixed there, 13:15–13:45.')
    await expect(block(page, 'Call the Porto lender')).toHaveClass(/in-the-way/)
    await page.keyboard.press('Escape')
})

test('blocks are split, swapped and sent by their menu and by key', async ({ page }) => {
    await block(page, 'Essay 2 corrections').focus()
    await page.keyboard.press('Enter')
    await expect(page.locator('#why')).toBeVisible()
    await page.keyboard.press('x')
    await expect(page.locator('#said')).toContainText('Split in two')
    await expect(page.locator('.sheet a.block', { hasText: 'Essay 2 corrections' })).toHaveCount(2)
    expect(await time(page, 'Essay 2 corrections')).toBe('14:45–15:15')
    await page.keyboard.press('u')
    await expect(page.locator('#said')).toContainText('One block again.')

    await menu(page, 'Budget revision')
    await page.getByLabel('Swap with').selectOption({ index: 2 })
    await page.getByRole('button', { name: 'Swap' }).click()
    await expect(page.locator('#said')).toContainText('They changed places')

    await menu(page, 'Courier quotes')
    await page.getByRole('button', { name: 'Tomorrow', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Courier quotes, three crates will be late')
    await expect(page.locator('#said')).toContainText('Nothing has moved yet.')
    await page.getByRole('button', { name: 'All the same' }).click()
    await expect(page.locator('#said')).toContainText('Sent there.')
    await page.goto('/shape/2026-03-12')
    await expect(block(page, 'Courier quotes')).toBeVisible()
})

test('time is reserved, and small tasks dropped on it make a batch', async ({ page }) => {
    await page.locator('#reserve-ask > summary').click()
    await page.getByLabel('What for').fill('Small things')
    await page.getByLabel('From').fill('16:30')
    await page.getByLabel('Minutes', { exact: true }).fill('45')
    await page.getByRole('button', { name: 'Keep it free' }).click()
    await expect(page.locator('#said')).toContainText('Reserved.')
    const reserve = page.locator('.reserve')
    await expect(reserve).toHaveAttribute('aria-label', 'Small things, reserved, 16:30–17:15')

    const target = await reserve.boundingBox()
    const drop = await drag(page, block(page, 'Courier quotes'), { grab: 5, toX: target.x + 60, toY: target.y + 30 })
    await expect(reserve).toHaveClass(/reserve-aim/)
    await drop.drop()
    await expect(page.locator('#said')).toContainText('In the batch.')
    await expect(reserve).toHaveAttribute('aria-label', 'Small things, batch of 1, 16:30–17:15')
    expect(await time(page, 'Courier quotes')).toBe('16:30–16:50')

    const wrong = await drag(page, page.locator('[id^=bank-]').filter({ hasText: 'Wall texts, room 4' }), { toX: target.x + 60, toY: target.y + 30, grab: 6 })
    await wrong.drop()
    await expect(page.locator('.warning, .error').first()).toContainText('give it a block of its own')
})

test('an overfull day offers ways out, each seen before it is taken', async ({ page }) => {
    await page.locator('[id^=bank-]').filter({ hasText: 'Wall texts, room 4' }).focus()
    await page.keyboard.press('p')
    await expect(page.locator('#said')).toContainText('is picked for this day')
    await page.locator('[id^=bank-]').filter({ hasText: 'Floor plan review' }).focus()
    await page.keyboard.press('p')
    await expect(page.locator('#said')).toContainText('“Floor plan review” is picked for this day')
    await expect(page.locator('#ways h2')).toContainText('over the load line')
    await page.keyboard.press('w')
    await expect(page.locator('#difference h2')).toHaveText('What can wait')
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText('it is planned from the next one on')
    await expect(page.locator('#ways')).toHaveCount(0)
    await page.keyboard.press('u')
    await expect(page.locator('#ways')).toBeVisible()
})
