import { faults } from './faults.js'
import { block, expect, test } from './ines.js'
import { setClock } from './server.js'

const SCREENS = {
    shape: '/shape',
    'another day': '/shape/2026-03-13',
    'a chosen block': '/shape?block=4',
    'the day laid out anew': '/shape?change=lay-out',
    'a proposed day': '/shape?propose=1',
    'what can wait': '/shape?change=wait',
    'the morning, first step': '/shape?morning=left',
    'the morning, third step': '/shape?morning=candidates',
    'the morning, fourth step': '/shape?morning=day',
    'nothing but the task': '/work?quiet=1',
    'a meeting': '/occurrences/1',
    outbox: '/outbox',
    gather: '/gather',
    files: '/gather/files',
    mailbox: '/gather/mailbox',
    message: '/messages/1',
    tokens: '/gather/tokens',
    templates: '/templates',
    weigh: '/weigh',
    'weigh, closer': '/weigh?zoom=week',
    'weigh as a list': '/weigh/list?group=answer',
    work: '/work',
    close: '/close',
    'the day as a list': '/shape/2026-03-11/list',
    projects: '/projects',
    project: '/projects/2',
    views: '/views',
    view: '/views/cannot-wait',
    'a new view': '/views/build',
    search: '/search?q=lend',
    'a line that does': '/search?q=lyon%20to%20adaeze',
    'sums of a view': '/views/done?face=sums',
    task: '/tasks/8',
    week: '/week',
    'the week as a list': '/week?face=list',
    'the balanced week': '/week?balance=1',
    'the week in one run': '/week/plan',
    horizon: '/horizon',
    'ways out of a crunch': '/horizon?ways=1',
    month: '/month',
    'what if': '/horizon/if?line=a%20second%20venue%2040%20h%20by%2024%20april%20deep',
    goals: '/goals',
    'the account of a cycle': '/cycles/1',
    'the review of a week': '/review/2026-03-09?step=4',
    'the review at once': '/review/2026-03-09?all=1',
    ledger: '/ledger',
    'the ledger by context': '/ledger?by=context&period=quarter',
    'behind a figure': '/ledger/entries?period=last',
    reports: '/reports',
    'a report': '/reports/1',
    meetings: '/meetings',
    'a calendar': '/calendars/2',
    settings: '/settings',
    'rules of the day': '/settings/rules',
    'areas and groups': '/settings/areas',
    'looks and language': '/settings/looks',
    'your account': '/account',
    'a web page to catch': '/capture?title=River%20survey&url=https%3A%2F%2Fexample.org%2F1911',
}

/** In dark only the colours differ: screens that have all parts between them; the others with bin/test --long. */
const IN_DARK = ['goals', 'the review of a week', 'ledger', 'week', 'horizon', 'month', 'what if', 'shape', 'gather', 'weigh', 'work', 'close', 'task', 'settings']

/** Variants of other screens here: looked at with bin/test --long. */
const VARIANTS = ['the account of a cycle', 'the ledger by context', 'behind a figure', 'a report', 'projects', 'view', 'your account', 'areas and groups', 'rules of the day', 'a web page to catch', 'weigh as a list', 'tokens', 'templates', 'files', 'outbox', 'mailbox', 'a chosen block', 'a calendar', 'sums of a view', 'a line that does', 'the morning, third step', 'ways out of a crunch', 'looks and language', 'another day', 'the day laid out anew', 'a proposed day', 'the morning, first step', 'weigh, closer', 'nothing but the task', 'the week as a list', 'the balanced week']

/** What is wrong with the page in light; and in dark, where only the colours differ. */
async function faultsInBothLights(page) {
    const found = []
    for (const colorScheme of ['light', 'dark']) {
        await page.emulateMedia({ colorScheme })
        found.push(...(await faults(page, { coloursAlone: colorScheme === 'dark' })).map((fault) => `${colorScheme}: ${fault}`))
    }
    return found
}

test.describe('every screen', () => {
    test.use({ start: null })
    for (const [name, address] of Object.entries(SCREENS).filter(([name]) => process.env.NEKTO_LONG || !VARIANTS.includes(name))) {
        test(`${name} can be used by everyone and is never wider than its window`, async ({ page }) => {
            await page.goto(address)
            expect(page.url()).toContain(address)
            expect(await (IN_DARK.includes(name) || process.env.NEKTO_LONG ? faultsInBothLights(page) : faults(page))).toEqual([])
            for (const width of process.env.NEKTO_LONG ? [360, 390, 700, 960, 1280, 1920] : [360, 700, 1280]) {
                await page.setViewportSize({ width, height: 844 })
                expect(await page.evaluate(() => document.documentElement.scrollWidth), `at ${width} px`).toBeLessThanOrEqual(width)
            }
        })
    }
})

test('a chosen block, the keys and a toast can be used by everyone', async ({ page }) => {
    await block(page, 'Budget revision').click()
    await page.getByRole('button', { name: /^Anchor/ }).click()
    await expect(page.getByRole('status')).toBeVisible()
    expect(await faultsInBothLights(page)).toEqual([])
    await page.keyboard.press('?')
    expect(await faultsInBothLights(page)).toEqual([])
})

test('the doors can be used by everyone', async ({ page, context }) => {
    await context.clearCookies()
    for (const address of ['/sign-in', '/sign-up', '/forgotten']) {
        await page.goto(address)
        expect(await faultsInBothLights(page)).toEqual([])
    }
})

test('an overfull day, a reminder, a forgotten clock and a batch can be used by everyone', async ({ page }) => {
    await page.locator('[id^=bank-]').filter({ hasText: 'Wall texts, room 4' }).focus()
    await page.keyboard.press('p')
    await expect(page.locator('#said')).toContainText('is picked for this day')
    await expect(page.locator('#ways')).toBeVisible()
    expect(await faultsInBothLights(page)).toEqual([])
    await page.locator('#ways a').first().click()
    await expect(page.locator('#difference')).toBeVisible()
    expect(await faultsInBothLights(page)).toEqual([])

    setClock('2026-03-12T17:16:00+00:00') // the hour for closing the day
    await page.goto('/work')
    await expect(page.getByRole('heading', { name: 'The clock still runs' })).toBeVisible()
    await expect(page.locator('.reminder').first()).toBeVisible()
    expect(await faultsInBothLights(page)).toEqual([])
})

test('on a phone the chosen block is worked from the foot with targets of 48 px', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await block(page, 'Budget revision').click()
    for (const name of [/^Done/, /^Anchor/, 'Part done', 'Move']) {
        const box = await page.locator('#why').getByRole('button', { name }).boundingBox()
        expect(box.height).toBeGreaterThanOrEqual(48)
    }
})

test('on a phone a thought is caught, a task picked and a block let wait under the thumb', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await expect(page.getByRole('link', { name: 'Thu 12' })).toBeVisible()
    expect(await faultsInBothLights(page)).toEqual([])
    await page.evaluate(() => window.scrollTo(0, 900))
    await expect(page.locator('.gauge-part')).toBeInViewport()
    await expect(page.locator('#gauge-sum')).toContainText('free')

    await page.getByLabel('Catch a thought').fill('Ask Wim about the lamps')
    await page.keyboard.press('Enter')
    await expect(page.locator('#said')).toContainText('Caught: Ask Wim about the lamps')

    await page.getByRole('link', { name: /^Bank/ }).click()
    const row = page.locator('[id^=bank-]').filter({ hasText: 'Case list for Wim' })
    const pick = row.getByRole('button', { name: 'Give it time' })
    expect((await pick.boundingBox()).height).toBeGreaterThanOrEqual(48)
    await pick.click()
    await expect(page.locator('#said')).toContainText('Placed and anchored.')

    await block(page, 'Courier quotes').click()
    await expect(page.locator('.why-task')).toContainText('Courier quotes, three crates')
    await page.getByRole('button', { name: 'Wait', exact: true }).click()
    await expect(page.locator('#said')).toContainText('Nothing has moved yet.') // it is due today
    await page.getByRole('button', { name: 'All the same' }).click()
    await expect(page.locator('#said')).toContainText('Off this day')
    await expect(block(page, 'Courier quotes')).toHaveCount(0)
})

test('reduced motion moves nothing', async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    expect(await block(page, 'Budget revision').evaluate((element) => getComputedStyle(element).transitionDuration)).toBe('0s')
})
