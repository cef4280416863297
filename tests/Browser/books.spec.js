import { expect, test } from './ines.js'
import { artisan, setClock } from './server.js'

/*
 * The books of a morning and the evening after it, to the minute: paused, gone on, more time, stopped by a meeting, past
 * the estimate, part done, minutes by hand, done, undone, closed, opened again. Once by keys, once by pointer.
 */

const at = (time, day = '11') => setClock(`2026-03-${day}T${time}:00+00:00`)

const hands = {
    keys: (page) => ({
        press: (key) => page.keyboard.press(key),
        fill: async (field, text) => {
            await expect(field).toBeFocused()
            await field.press('Control+a')
            await page.keyboard.type(text)
            await page.keyboard.press('Enter')
        },
    }),
    pointer: (page) => ({
        press: (key) => key === 'Enter'
            ? page.locator('[data-first], [data-enter]').first().click()
            : page.locator(key === 'u' ? '#said form[action="/plan/undo"] button' : `[data-page-key="${key === 'Space' ? ' ' : key}"]`).first().click(),
        fill: async (field, text) => {
            await field.fill(text)
            await page.locator('details.asks[open] .button-main').first().click()
        },
    }),
}

/** What Work, while it shows the task, and the task's own page say is left: the same. */
async function left(page, words, isOn = true) {
    await page.goto('/work')
    if (isOn) {
        await expect(page.locator('.work-left')).toContainText(words === 'past its estimate' ? words : `${words} of work left`)
    }
    await page.locator('.account a', { hasText: 'Wall texts, room 3' }).click()
    await expect(page.locator('.bill-lines .sum')).toContainText(words)
    await page.goto('/work')
}

for (const [name, of] of Object.entries(hands)) {
    const either = process.env.NEKTO_LONG ? test : test.skip // it takes a minute; a shorter day is in whole-day.spec.js and tests/Feature/TwoWeeksTest.php
    either(`a morning's books balance to the minute, by ${name}`, async ({ page }) => {
        const hand = of(page)
        await left(page, '1 h 15') // an hour and a half was said, the clock runs since 10:05

        at('10:45')
        await page.goto('/work')
        await hand.press('Space')
        await expect(page.locator('#said')).toContainText('Paused.')
        await left(page, '50 min')
        at('11:00')
        await left(page, '50 min')
        await hand.press('Space')
        await expect(page.locator('#said')).toContainText('The clock runs')

        // more time says nothing about what is left, but what it lies on
        at('11:05')
        await page.goto('/work')
        await hand.press('o')
        await page.getByRole('button', { name: '+ 15 min' }).press('Enter')
        await expect(page.locator('#said')).toContainText('It lies on Loans committee 11:30–12:15.')
        await left(page, '45 min')
        await page.keyboard.press('u')
        await expect(page.locator('#said')).toContainText('As long as it was before.')

        at('11:10')
        await page.goto('/work')
        await hand.press('m')
        await hand.fill(page.getByLabel('How much is left?'), '35 min')
        await expect(page.locator('#said')).toContainText('Part done')
        await page.keyboard.press('u')
        await expect(page.locator('#said')).toContainText('As it was before.')
        await left(page, '40 min')

        // the committee stops the clock; afterwards it is asked, and it had
        at('12:15')
        artisan('nekto:minute')
        await page.goto('/work')
        await expect(page.getByRole('heading', { name: 'Did the work go on?' })).toBeVisible()
        await hand.press('Enter')
        await expect(page.locator('#said')).toContainText('The minutes are kept.')
        await expect(page.getByRole('heading', { name: 'Did the work go on?' })).toBeHidden()
        await left(page, '20 min', false) // 40 until the pause, 30 until the committee; it is laid again for 16:10

        // past its estimate: half an hour is said to be left
        at('16:10')
        await page.goto('/work')
        await expect(page.locator('#work-title')).toHaveText('Wall texts, room 3')
        await hand.press('Space')
        await expect(page.locator('#said')).toContainText('The clock runs')
        at('16:35')
        artisan('nekto:minute')
        await page.goto('/work')
        await expect(page.getByRole('heading', { name: /how much is left/ })).toBeVisible()
        await expect(page.locator('.how-much')).toContainText('1 h 35 worked of 1 h 30')
        await left(page, 'past its estimate')
        await page.locator('.choice', { hasText: '30' }).click()
        await left(page, '30 min')

        // minutes by hand: it was begun at ten
        await page.getByText('Minutes by hand').click()
        const first = page.locator('#by-hand form', { has: page.getByLabel('Wall texts, room 3 from') }).first()
        await first.getByLabel('Wall texts, room 3 from').fill('10:00')
        await first.getByRole('button', { name: 'Save' }).click()
        await expect(page.locator('#said')).toContainText('The minutes are kept.')
        await left(page, '30 min') // what was said since stands

        await hand.press('d')
        await expect(page.locator('#said')).toContainText('Done.')
        await page.keyboard.press('u')
        await expect(page.locator('#said')).toContainText('Not done after all.')
        await page.goto('/work')
        await hand.press('Space') // its clock runs on, as before
        await expect(page.locator('#said')).toContainText('Paused.')

        // the evening: promised an hour and a half, took an hour and forty, five of them put right by hand
        at('17:40')
        artisan('nekto:minute')
        await page.goto('/close')
        const row = page.locator('.bill tr', { hasText: 'Wall texts, room 3' })
        const figures = (await row.locator('td').allTextContents()).map((text) => text.trim()).slice(2, 5)
        expect(figures).toEqual(['1 h 30', '1 h 40', '+10'])
        await hand.press('Enter')
        await expect(page.locator('#said')).toContainText('The day is closed.')
        at('09:00', '12')
        artisan('nekto:minute')
        await page.goto('/close/2026-03-11')
        expect((await row.locator('td').allTextContents()).map((text) => text.trim()).slice(2, 5)).toEqual(figures)
        await page.getByRole('button', { name: 'Open it again' }).click()
        await expect(page.locator('#said')).toContainText('The day is open again.')
        expect((await row.locator('td').allTextContents()).map((text) => text.trim()).slice(2, 5)).toEqual(figures)
        await expect(page.getByText('Changed since it was closed')).toBeHidden()
    })
}
