import { expect, test as base } from '@playwright/test'
import { faults } from './faults.js'
import { number, reset } from './server.js'

/** A newcomer: nobody is signed in. */
const test = base.extend({
    page: async ({ page }, use) => {
        reset()
        await use(page)
    },
})

const LINES = [
    'write to the landlord by friday 20 min', 'slides for monday, 90 min', 'call the dentist 10 min', 'read the draft 60 min', 'book the train by thursday 15 min', 'pay the invoice by friday 10 min',
    'answer Kim 15 min', 'tidy the shared folder 40 min', 'outline of the talk 120 min deep', 'ask for the key 5 min', 'order paper 10 min', 'plan the workshop 90 min deep', 'thank Sam 5 min', 'check the figures 45 min', 'renew the pass 20 min',
]

const CALENDAR = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//a//b//EN', ...['0900', '1400'].flatMap((at, i) => ['BEGIN:VEVENT', `UID:${i}@example.org`, `DTSTART:20260312T${at}00Z`, 'DURATION:PT1H', `SUMMARY:Meeting ${i}`, 'END:VEVENT']), 'END:VCALENDAR', ''].join('\r\n')

/** Counts what is pressed: keys that do something (a typed text is one), and clicks. */
function counter(page) {
    let presses = 0
    return {
        key: async (key) => (presses++, page.keyboard.press(key)),
        type: async (text) => (presses++, page.keyboard.insertText(text)),
        click: async (target) => (presses++, target.click()),
        file: async (target, text) => (presses += 2, target.setInputFiles({ name: 'work.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) })),
        get presses() {
            return presses
        },
    }
}

async function signUp(page, hand) {
    await page.goto('/sign-up')
    await hand.type('Wim Aalders')
    await hand.key('Tab')
    await hand.type('wim@example.org')
    await hand.key('Tab')
    await hand.type('three words in a row')
    await hand.key('Enter')
    await expect(page.getByRole('heading', { name: /Five steps, then the day is laid out/ })).toBeVisible()
}

const open = (page) => page.locator('.step-open h2')

test('a newcomer comes by keys from nothing to a day that is laid out', async ({ page }) => {
    const hand = counter(page)
    await signUp(page, hand)
    await expect(page.locator('.button-over')).toBeFocused()
    await hand.key('Enter')
    await expect(open(page)).toHaveText('Calendar')
    await page.getByRole('button', { name: 'Without a calendar' }).focus()
    await hand.key('Enter')
    await expect(open(page)).toHaveText('Gather')
    await page.locator('.step-gather textarea').focus()
    await hand.type(LINES.join('\n'))
    await hand.key('Control+Enter')
    await expect(page.locator('.step-figure').nth(2)).toHaveText('15 lines')
    await expect(page.locator('.vessel-piece').first()).toBeVisible()
    await page.getByRole('button', { name: 'That is all' }).focus()
    await hand.key('Enter')
    await expect(open(page)).toHaveText('Weigh')
    await expect(page.locator('.step-body')).toContainText('15 lines wait')
    await page.getByRole('link', { name: 'Weigh them' }).focus()
    await hand.key('Enter')
    await expect(page.locator('.card-title')).toBeVisible()
    for (let i = 0; i < LINES.length; i++) {
        const title = await page.locator('.card-title').innerText()
        await hand.key(String(1 + (i % 4)))
        await hand.key('Enter')
        await (i < LINES.length - 1 ? expect(page.locator('.card-title')).not.toHaveText(title) : expect(page.locator('.card-title')).toHaveCount(0))
    }
    await page.locator('.first-line a').focus()
    await hand.key('Enter')
    await expect(open(page)).toHaveText('Shape')
    await expect(page.locator('.step-figure').nth(3)).toHaveText('15 of 15 weighed')
    await hand.key('l')
    await expect(page).toHaveURL(/\/shape$/)
    await expect(page.locator('#said')).toContainText('Laid out')
    await expect(page.locator('.first-line')).toHaveCount(0)
    expect(await page.locator('.sheet a.block').count()).toBeGreaterThan(2)
    expect(number("select count(*) from blocks join users on users.id = user_id where email = 'wim@example.org'")).toBeGreaterThanOrEqual(15)
    console.log(`newcomer by keys, without a calendar: ${hand.presses} presses`)
    expect(hand.presses).toBeLessThanOrEqual(6 + 1 + 1 + 2 + 1 + 1 + 2 * LINES.length + 1 + 1)
})

/** With bin/test --long: the same way once more. */
const long = process.env.NEKTO_LONG ? test : test.skip

long('a newcomer comes by pointer, with a calendar file', async ({ page }) => {
    const hand = counter(page)
    await signUp(page, hand)
    await hand.click(page.getByRole('button', { name: /^Take these hours/ }))
    await expect(open(page)).toHaveText('Calendar')
    await hand.file(page.locator('#calendar'), CALENDAR)
    await expect(page.locator('.step-figure').nth(1)).toHaveText('2 meetings in two weeks')
    await hand.click(page.getByRole('button', { name: /^Go on/ }))
    await expect(open(page)).toHaveText('Gather')
    await hand.click(page.locator('.step-gather textarea'))
    await hand.type(LINES.join('\n'))
    await hand.click(page.getByRole('button', { name: 'Keep them' }))
    await hand.click(page.getByRole('button', { name: 'That is all' }))
    await hand.click(page.getByRole('link', { name: 'Weigh them' }))
    for (let i = 0; i < LINES.length; i++) {
        const title = await page.locator('.card-title').innerText()
        await hand.click(page.locator(`.card [name=importance][value="${1 + (i % 4)}"]`))
        await hand.click(page.locator('.card button[data-enter]'))
        await (i < LINES.length - 1 ? expect(page.locator('.card-title')).not.toHaveText(title) : expect(page.locator('.card-title')).toHaveCount(0))
    }
    await hand.click(page.locator('.first-line a'))
    await hand.click(page.getByRole('button', { name: /^Lay out the day/ }))
    await expect(page.locator('#said')).toContainText('Laid out')
    await page.goto('/shape/2026-03-12')
    await expect(page.locator('.sheet a.meeting')).toHaveCount(2)
    console.log(`newcomer by pointer, with a calendar file: ${hand.presses} presses`)
})

test('the first day on a phone, and without faults', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await signUp(page, counter(page))
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
    for (const step of ['hours', 'calendar', 'gather', 'weigh', 'shape']) {
        await page.goto(`/first-day?step=${step}`)
        expect(await faults(page), step).toEqual([])
    }
    await page.emulateMedia({ colorScheme: 'dark' })
    await page.setViewportSize({ width: 1280, height: 800 })
    expect(await faults(page, { coloursAlone: true })).toEqual([])
})

test('the filled sample is looked at and left', async ({ page }) => {
    await signUp(page, counter(page))
    await page.getByRole('button', { name: 'Look at a filled sample instead' }).click()
    await expect(page.locator('.lens-line')).toContainText('This is a filled sample')
    expect(await page.locator('.sheet a.block').count()).toBeGreaterThan(4)
    await page.getByRole('button', { name: 'Back to your own day' }).click()
    await expect(page.getByRole('heading', { name: /Good morning, Wim/ })).toBeVisible()
})
