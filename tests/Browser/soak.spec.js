import { expect, test } from './ines.js'
import { number } from './server.js'

/*
 * Random actions of a person: type, press, move on, go back, another window, away and back. At the end every text that was
 * acknowledged or waited is in the database exactly once, and nothing else is. Two thousand with NEKTO_LONG.
 */

const ACTIONS = process.env.NEKTO_LONG ? 2000 : 30

const SEED = Number(process.env.SOAK_SEED ?? 20260311)

/** A small generator of numbers that can be repeated (mulberry32). */
function chance(seed) {
    return () => {
        seed = (seed + 0x6d2b79f5) | 0
        let t = Math.imul(seed ^ (seed >>> 15), 1 | seed)
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
        return ((t ^ (t >>> 14)) >>> 0) / 4294967296
    }
}

test(`after ${ACTIONS} random actions every text is there exactly once`, async ({ page, context }) => {
    test.setTimeout(ACTIONS * 3000)
    const random = chance(SEED)
    const pick = (all) => all[Math.floor(random() * all.length)]
    const windows = [page, await context.newPage()]
    await windows[1].goto('/gather')
    const caught = []
    const trail = []
    let isAway = false
    let delay = 0
    await context.route((url) => !url.pathname.startsWith('/build'), async (route) => {
        if (route.request().method() === 'POST' && delay > 0) {
            await new Promise((resolve) => setTimeout(resolve, delay))
        }
        await route.continue().catch(() => {})
    })
    const go = (one, address) => one.goto(address, { timeout: 15_000 }).catch(() => {}) // away, the browser has its own page
    const isOurs = (one) => one.locator('#page').count()

    for (let i = 0; i < ACTIONS; i++) {
        const one = pick(windows)
        const act = Math.floor(random() * 16)
        trail.push(act)
        if (!(await isOurs(one))) {
            await (isAway ? context.setOffline((isAway = false)) : null)
            await go(one, pick(['/gather', '/shape', '/weigh', '/work']))
            continue
        }
        if (act < 6) {
            const text = `thought ${i} of this soak`
            const field = one.locator('#catch')
            if ((await field.inputValue()) === '') {
                await field.focus()
                await one.keyboard.type(text)
                await one.keyboard.press('Enter')
                caught.push(text)
            }
        } else if (act === 6) {
            await one.locator('#catch').blur()
            await one.keyboard.press(pick(['ArrowDown', 'ArrowUp', 'v', 'p', 'a', '1', '3']))
        } else if (act === 7 && !isAway) {
            await go(one, pick(['/gather', '/shape', '/weigh', '/work', '/close', '/settings']))
        } else if (act === 8 && !isAway) {
            await one.goBack({ timeout: 5000 }).catch(() => {})
        } else if (act === 9 && !isAway) {
            await one.reload({ timeout: 15_000 }).catch(() => {})
        } else if (act === 10) {
            isAway = !isAway
            await context.setOffline(isAway)
        } else if (act === 11) {
            delay = pick([0, 0, 100, 600])
        } else if (act === 12 && !isAway) {
            await one.close()
            windows[windows.indexOf(one)] = await context.newPage()
            await go(windows.at(-1).url() === 'about:blank' ? windows.at(-1) : windows[0], '/gather')
        } else if (act === 13) {
            await one.locator('#entry textarea').fill(`half a thought ${i}`, { timeout: 200 }).catch(() => {})
        } else if (act === 14 && (await one.locator('#entry textarea').count())) {
            const half = await one.locator('#entry textarea').inputValue()
            if (half !== '') {
                await one.locator('#entry textarea').press('Control+Enter')
                caught.push(half)
            }
        } else {
            await one.waitForTimeout(Math.floor(random() * 150))
        }
    }

    delay = 0
    await context.setOffline(false)
    await page.waitForTimeout(0).catch(() => {})
    const last = await context.newPage()
    await go(last, '/gather')
    const there = (text) => number(`select count(*) from tasks where title = '${text}' or note like '%${text}%'`)
    for (const text of new Set(caught)) {
        await expect.poll(() => there(text), { message: `${text}, seed ${SEED}`, timeout: 60_000 }).toBe(caught.filter((other) => other === text).length)
    }
    await expect(last.locator('#waiting-here')).toBeHidden()
    expect(number("select count(*) from tasks where title like 'thought % of this soak'")).toBe(caught.filter((text) => text.startsWith('thought')).length)
})
