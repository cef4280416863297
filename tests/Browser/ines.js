import { test as base, expect } from '@playwright/test'
import { keepSignIns, reset } from './server.js'

let cookies = []

/** Tests as Ines, signed in, on the sample day at 10:20, at an address to start from. A page error or a refused script fails the test. */
export const test = base.extend({
    start: ['/shape', { option: true }], // null: the test goes to its own
    page: async ({ page, context, start }, use) => {
        reset()
        const faults = []
        page.on('pageerror', (error) => faults.push(error.message))
        page.on('console', (message) => message.type() === 'error' && /Content Security|Alpine/.test(message.text()) && faults.push(message.text()))
        await context.addCookies(cookies)
        if (start !== null || cookies.length === 0) {
            await page.goto(start ?? '/shape')
        }
        if (page.url().endsWith('/sign-in')) { // the first test, and the one after somebody signed out
            await signIn(page)
            cookies = await context.cookies()
            keepSignIns()
        }
        await use(page)
        expect(faults).toEqual([])
    },
})

export { expect }

export async function signIn(page) {
    await page.goto('/sign-in')
    await page.getByLabel('Mail address').fill('ines@example.org')
    await page.getByLabel('Password').fill('rivers-underfoot')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await page.waitForURL((url) => !url.pathname.endsWith('/sign-in')) // to where the test wanted to begin
}

/** A block of the run sheet by its title. */
export function block(page, title) {
    return page.locator('.sheet a.block', { hasText: title }).first()
}

/** Where a block lies, as its name says: "14:45–15:45". */
export async function time(page, title) {
    return (await block(page, title).getAttribute('aria-label')).match(/\d\d:\d\d–\d\d:\d\d/)[0]
}

/** Drags from a point of one element by so many minutes of the run sheet. */
export async function drag(page, from, { x = 0, minutes = 0, grab = 8, toY = null, toX = null }) {
    const box = await from.boundingBox()
    const start = { x: box.x + Math.min(40, box.width / 2), y: box.y + grab }
    await page.mouse.move(start.x, start.y)
    await page.mouse.down()
    const end = { x: toX ?? start.x + x, y: toY ?? start.y + minutes * 1.04 }
    await page.mouse.move((start.x + end.x) / 2, (start.y + end.y) / 2, { steps: 4 })
    await page.mouse.move(end.x, end.y, { steps: 4 })
    return { drop: () => page.mouse.up() }
}
