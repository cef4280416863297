import { expect, test } from './ines.js'
import { setClock } from './server.js'

test.use({ start: null })

/** Counts what is pressed; a typed text is one. */
function hands(page) {
    const counted = {
        presses: 0,
        async press(key) { counted.presses++; await page.keyboard.press(key) },
        async type(text) { counted.presses++; await page.keyboard.type(text) },
    }
    return counted
}

test('a step is written by one line, done by a key, and the measure is moved in place', async ({ page }) => {
    await page.goto('/goals')
    const catalogue = page.locator('section.goal', { hasText: 'Catalogue to print' })
    await page.keyboard.press('+')
    await expect(page.locator('.step-new input:focus')).toHaveCount(1)
    await page.keyboard.type('order the half-title, 20 min')
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText('is a step of Catalogue to print, week of 9 Mar')
    await expect(catalogue.locator('.step', { hasText: 'order the half-title' })).toBeVisible()

    await catalogue.locator('.step', { hasText: 'order the half-title' }).locator('[data-row]').focus()
    await page.keyboard.press('d')
    await expect(catalogue.locator('.step-kept', { hasText: 'order the half-title' })).toBeVisible()
    await page.keyboard.press('u')
    await expect(catalogue.locator('.step-kept', { hasText: 'order the half-title' })).toHaveCount(0)

    await page.getByLabel('Where Catalogue to print stands').fill('5')
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText('Catalogue to print stands at 5 sections read and set.')
    await expect(page.getByLabel('Where Catalogue to print stands')).toHaveValue('5')
})

test('a habit is written in a line and done by a key', async ({ page }) => {
    await page.goto('/goals')
    await page.getByLabel('A new habit, in a line').fill('Photographs of the hang 20 min twice a week')
    await page.keyboard.press('Enter')
    const habit = page.locator('.habit', { hasText: 'Photographs of the hang' })
    await expect(habit).toContainText('0 of 2')
    await habit.locator('[data-row]').focus()
    await page.keyboard.press('d')
    await expect(page.locator('#said')).toContainText('Photographs of the hang: 1 of 2 this week.')
    await expect(habit).toContainText('1 of 2')
})

test('the week is reviewed by keys, left, taken up again and closed', async ({ page }) => {
    setClock('2026-03-13T17:22:00+00:00')
    await page.goto('/goals')
    const hand = hands(page)
    await hand.press('j')
    await expect(page.getByRole('heading', { name: 'Review of week 7' })).toBeVisible()
    for (const name of ['Promises', 'Slipped', 'Areas']) {
        await hand.press('Enter')
        await expect(page.locator('.course-now h2')).toHaveText(name)
    }
    await expect(page.locator('.review-line input[name=lines]')).toBeFocused()
    const before = await page.locator('.review aside .section-head').textContent()
    await hand.type('ask Lyon for a second signature, by monday, 40 min')
    await hand.press('Enter')
    await expect(page.locator('.review-area-now')).toContainText('Exhibition 1')
    await expect(page.locator('.review-line input[name=lines]')).toBeFocused()
    await expect(page.locator('.review-line input[name=lines]')).toHaveValue('')
    await expect(page.locator('.review aside .section-head')).toHaveText(before) // it is not weighed yet

    await hand.press('Enter')
    await expect(page.locator('.review-area-now')).toContainText('Loans & lenders')
    await page.goto('/goals') // left here
    await page.keyboard.press('j')
    await expect(page.locator('.review-area-now')).toContainText('Loans & lenders')
    for (let i = 0; i < 4; i++) {
        await hand.press('Enter')
        i < 3 && await expect(page.locator('.review-areas')).toContainText(`${i + 3} of 5`)
    }
    for (const name of ['Waiting', 'Someday', 'Next week']) {
        await expect(page.locator('.course-now h2')).toHaveText(name)
        name !== 'Next week' && await hand.press('Enter')
    }
    await hand.press('l')
    await expect(page.locator('#said')).toContainText(/has its day|have their days/)
    await hand.press('Enter')
    await expect(page.locator('#said')).toContainText('The week is closed.')
    expect(hand.presses).toBeLessThanOrEqual(15)
})

test('behind a figure of the ledger stand its entries, and their sum is the figure', async ({ page }) => {
    await page.goto('/ledger')
    await expect(page.getByRole('heading', { name: 'Where time went' })).toBeVisible()
    const figures = page.locator('.ledger-table b a')
    const count = await figures.count()
    expect(count).toBeGreaterThan(6)
    for (const i of [0, 2, count - 1]) {
        const said = (await figures.nth(i).textContent()).trim()
        await figures.nth(i).click()
        await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${i < count - 1 ? 'Worked' : 'Meetings'}: ${said}`)
        const minutes = await page.locator('.entries-bill tbody .number').allTextContents()
        const sum = Number(await page.locator('.entries-bill tfoot .number').textContent())
        expect(minutes.reduce((all, one) => all + Number(one), 0)).toBe(sum)
        await page.keyboard.press('[')
        await expect(page.getByRole('heading', { name: 'Where time went' })).toBeVisible()
    }
    await page.keyboard.press('v')
    await expect(page.getByRole('heading', { name: 'By context' })).toBeVisible()
    await page.keyboard.press('[')
    await expect(page.locator('.title-row')).toContainText('12 January to 8 February')
    await expect(page.getByRole('heading', { name: 'By context' })).toBeVisible()
})

test('a report is changed before it goes into the outbox', async ({ page }) => {
    await page.goto('/reports')
    await page.getByRole('link', { name: 'Week to the director' }).click()
    await expect(page.getByLabel('The report')).toHaveValue(/## Done\n\n- /)
    await page.getByLabel('The report').fill('# Our week\n\nThe agreements move.')
    await page.getByRole('button', { name: 'Into the outbox' }).click()
    await expect(page.locator('#said')).toContainText('outbox')
    await page.goto('/outbox')
    await page.getByRole('link', { name: /9 to 15 March/ }).click()
    await expect(page.locator('main')).toContainText('The agreements move.')
})

test('what opens on a phone lies within its window', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    for (const address of ['/goals', '/review?step=3', '/review?step=4', '/review?step=5', '/reports/1']) {
        await page.goto(address)
        for (const opener of await page.locator('main details.asks > summary:visible').all()) {
            await opener.click()
            const [left, right] = await opener.evaluate((one) => { const box = one.parentElement.querySelector('.menu').getBoundingClientRect(); return [box.left, box.right] })
            expect(left, address).toBeGreaterThanOrEqual(0)
            expect(right, address).toBeLessThanOrEqual(390)
            await opener.click()
        }
    }
})

test('a word of a step is refused where it is understood, and what is seen stays within a phone', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await page.goto('/goals')
    const step = page.locator('.step-new').first()
    await step.locator('input[name=lines]').fill('Index words by friday, 20 min')
    await expect(step.locator('.gloss')).toHaveText(['due Fri 13', 'estimate'])
    const box = await step.locator('.catch-panel').boundingBox()
    expect(box.x + box.width).toBeLessThanOrEqual(390)
    await step.locator('.gloss').first().focus()
    await page.keyboard.press('Escape')
    await expect(step.locator('.gloss')).toHaveText(['estimate'])
    await step.locator('input[name=lines]').press('Enter')
    await expect(page.locator('#said')).toContainText('Index words by friday is a step of Catalogue to print')
})
