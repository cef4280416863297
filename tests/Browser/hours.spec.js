import { faults } from './faults.js'
import { block, expect, test } from './ines.js'
import { number } from './server.js'

test.use({ start: '/settings' })

/** What the server's own tests hold too: looked at with bin/test --long. */
const long = process.env.NEKTO_LONG ? test : test.skip

const end = (page, day, which) => page.getByRole('slider', { name: `${day} ${which}`, exact: true })
const line = (page, day) => page.locator(`#week-${day}`)
const shown = (page) => page.locator('.consequence')

/** A point of a day's tape by its hour. */
async function at(page, day, hour) {
    const tape = page.locator(`[data-tape="week-${day}"]`)
    await tape.scrollIntoViewIfNeeded()
    const box = await tape.boundingBox()
    const { from, to } = await page.locator('#tapes').evaluate((one) => ({ from: Number(one.dataset.from), to: Number(one.dataset.to) }))
    return [box.x + (box.width * (hour * 60 - from)) / (to - from), box.y + box.height / 2]
}

async function drag(page, from, to) {
    await page.mouse.move(...from)
    await page.mouse.down()
    await page.mouse.move(to[0], to[1], { steps: 6 })
    await page.mouse.up()
}

test('an end is moved by arrows, said, taken with Enter, and taken back with U', async ({ page }) => {
    await end(page, 'Wednesday', 'ends').focus()
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('ArrowRight')
    await expect(shown(page)).toContainText('Wednesday to 18:00?')
    await expect(shown(page)).toContainText('open 5 h 00 becomes 5 h 30, load line 4 h 24')
    await expect(shown(page)).toContainText('Evenings gives way: Wednesday from 18:00.')
    await expect(end(page, 'Wednesday', 'ends'), 'the hand stays where it was').toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText('Office hours are saved.')
    await expect(shown(page)).toHaveCount(0)
    await expect(end(page, 'Wednesday', 'ends')).toHaveAttribute('aria-valuetext', '18:00')
    await page.keyboard.press('u')
    await expect(end(page, 'Wednesday', 'ends')).toHaveAttribute('aria-valuetext', '17:30')
})

test('hours are drawn by a pointer, over several days, cut, and left as they were', async ({ page }) => {
    await drag(page, await at(page, 'sat', 9), await at(page, 'sun', 13))
    await expect(shown(page)).toContainText('Saturday and Sunday 09:00–13:00?')
    await expect(line(page, 'sat')).toHaveValue('09:00–13:00')
    await expect(line(page, 'sun')).toHaveValue('09:00–13:00')
    await drag(page, await at(page, 'mon', 10), await at(page, 'mon', 11))
    await expect(line(page, 'mon')).toHaveValue('09:00–10:00, 11:00–17:30')
    await expect(shown(page)).toContainText('3 days?')
    await page.getByRole('link', { name: 'Leave' }).click()
    await expect(shown(page)).toHaveCount(0)
    await expect(line(page, 'mon')).toHaveValue('09:00–17:30')
    await expect(line(page, 'sat')).toHaveValue('')
})

test('an end is dragged, and Delete closes a stretch', async ({ page }) => {
    const from = await end(page, 'Thursday', 'begins').boundingBox()
    await drag(page, [from.x + from.width / 2, from.y + 20], await at(page, 'thu', 8))
    await expect(shown(page)).toContainText('Thursday from 08:00?')
    await end(page, 'Friday', 'ends').focus()
    await page.keyboard.press('Delete')
    await expect(line(page, 'fri')).toHaveValue('')
    await expect(shown(page)).toContainText('2 days?')
    await page.getByRole('button', { name: 'Take', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Office hours are saved.')
    await page.goto('/shape/2026-03-13')
    await expect(page.locator('#gauge-sum')).toContainText('of 0 min')
})

test.describe('by finger', () => {
    test.use({ hasTouch: true, viewport: { width: 390, height: 844 } })

    test('hours are drawn and taken on a phone', async ({ page }) => {
        const client = await page.context().newCDPSession(page)
        const from = await at(page, 'sat', 10)
        const to = await at(page, 'sat', 14)
        const touch = (type, [x, y]) => client.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] })
        await touch('touchStart', from)
        for (let i = 1; i <= 8; i++) {
            await touch('touchMove', [from[0] + ((to[0] - from[0]) * i) / 8, from[1]])
        }
        await touch('touchEnd', to)
        await expect(shown(page)).toContainText('Saturday')
        await expect(line(page, 'sat')).toHaveValue('10:00–14:00')
        await page.getByRole('button', { name: 'Take', exact: true }).tap()
        await expect(page.locator('#said')).toContainText('Office hours are saved.')
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
        expect(await faults(page)).toEqual([])
    })
})

test('hours are written too; what is no time is said where it was written, and stays', async ({ page }) => {
    await page.getByText('Write them instead').click()
    await line(page, 'mon').fill('mornings')
    await line(page, 'mon').press('Enter')
    await expect(line(page, 'mon')).toHaveAttribute('aria-invalid', 'true')
    await expect(line(page, 'mon')).toHaveValue('mornings')
    await line(page, 'mon').fill('8-12, 13-16:30')
    await line(page, 'mon').press('Enter')
    await expect(shown(page)).toContainText('Monday 08:00–12:00, 13:00–16:30?')
    await line(page, 'mon').press('Enter')
    await expect(page.locator('#said')).toContainText('Office hours are saved.')
})

long('a new set is made, drawn, given an area, and taken away again', async ({ page }) => {
    await page.getByRole('link', { name: 'a new set' }).click()
    await page.getByLabel('What are these hours called?').fill('Early')
    await page.getByRole('button', { name: 'Make them' }).click()
    await page.getByRole('link', { name: 'Early' }).click()
    await drag(page, await at(page, 'mon', 7), await at(page, 'fri', 9))
    await page.getByRole('button', { name: 'Take', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Early are saved.')
    await page.goto('/settings/areas')
    await page.getByLabel('Hours of Publications').selectOption('Early')
    await expect(shown(page)).toBeVisible()
    await page.getByRole('button', { name: 'Take', exact: true }).click()
    await expect(page.locator('#said')).toBeVisible()
    expect(number("select count(*) from areas join hours_sets on hours_sets.id = hours_set_id where areas.name = 'Publications' and hours_sets.name = 'Early'")).toBe(1)
    await page.goto('/settings')
    await page.getByRole('link', { name: 'Early' }).click()
    await page.getByText('Rename, or take away').click()
    await page.getByRole('button', { name: 'Take Early away' }).click()
    await expect(shown(page)).toContainText('Publications: from then on in Office hours.')
    await page.getByRole('button', { name: 'Take', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Early is gone')
})

test('a line closes a date, and is refused where it says none', async ({ page }) => {
    const dates = page.getByLabel('A date and its hours, in one line')
    await dates.fill('tomorrow closed stocktaking')
    await dates.press('Enter')
    await expect(shown(page)).toContainText('Thu 12 Mar: closed, stocktaking?')
    await expect(shown(page)).toContainText('have another place')
    await dates.press('Enter')
    await expect(page.locator('.date-row').first()).toContainText('stocktaking')
    await expect(dates).toHaveValue('')
    await dates.fill('some day')
    await dates.press('Enter')
    await expect(page.locator('#line-error')).toContainText('Begin with the day')
    await expect(dates).toHaveValue('some day')
})

long('best hours are drawn and kept', async ({ page }) => {
    await page.getByRole('link', { name: 'Best hours' }).click()
    await drag(page, await at(page, 'mon', 9), await at(page, 'wed', 12))
    await expect(line(page, 'tue')).toHaveValue('09:00–12:00')
    await page.getByRole('button', { name: 'Take', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Your best hours are saved.')
    await page.reload()
    await expect(line(page, 'tue')).toHaveValue('09:00–12:00')
})

test('a rule is tried, said and taken with two presses of Enter', async ({ page }) => {
    await page.locator('#set-margin_percent').fill('30')
    await page.keyboard.press('Enter')
    await expect(shown(page)).toContainText('load line 4 h 00 becomes 3 h 30')
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText('Saved.')
    await expect(page.locator('#rule-margin_percent')).toContainText('today 1 h 30 of 5 h 00 open')
    await page.locator('#said').getByRole('button', { name: /^Undo/ }).click()
    await expect(page.locator('#set-margin_percent')).toHaveValue('20')
})

long('a day that is laid out anew begins with what is hardest where the person likes that', async ({ page }) => {
    await page.goto('/settings/rules')
    await page.getByLabel('A day that is laid out begins').selectOption('hard')
    await page.getByRole('button', { name: 'Take', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Saved.')
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
