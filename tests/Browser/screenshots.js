import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'
import config from '../../playwright.config.js'
import { artisan, environment, HOST, PORT, prepare, reset, setClock } from './server.js'

/* One picture of each main view, the ledger in the dark, and Shape on a phone. */

const root = fileURLToPath(new URL('../..', import.meta.url))
const folder = `${root}docs/screenshots`
mkdirSync(folder, { recursive: true })
prepare()
const server = spawn('bin/serve', [HOST, String(PORT)], { cwd: root, env: environment, stdio: 'ignore', detached: true })
const base = `http://${HOST}:${PORT}`

try {
    await untilUp()
    const browser = await chromium.launch(config.use.launchOptions)
    const light = await signedIn(browser, { viewport: { width: 1280, height: 800 }, colorScheme: 'light' })
    await shoot(light, '/shape', 'shape', (page) => page.locator('.sheet a.block', { hasText: 'Essay 2' }).click())
    await shoot(light, '/gather', 'gather', async (page) => {
        await page.getByRole('textbox', { name: 'New lines' }).fill('Send Ghent the second fee letter by Friday noon, 25 min, after Adaeze signs, for lender agreements\nEvery second Monday file the condition photographs, a quarter of an hour, not before two\nCall the framer tomorrow after three about the glass for room 2, light')
        await page.locator('.gloss').first().waitFor()
    })
    await shoot(light, '/weigh?item=35', 'weigh', (page) => page.getByLabel('high').check())
    await shoot(light, '/work', 'work')
    await shoot(light, '/projects/2', 'project')
    await shoot(light, '/views', 'views')
    await shoot(light, '/search?q=lend', 'find', async (page) => {
        await page.locator('#find-q').focus()
        await page.keyboard.press('ArrowDown')
    })
    await shoot(light, '/tasks/2', 'task')
    await shoot(light, '/meetings', 'meetings')
    await shoot(light, '/week', 'week')
    await shoot(light, '/horizon?ways=1', 'horizon')
    await shoot(light, '/month', 'month')
    await shoot(light, '/goals', 'goals')
    await shoot(light, '/review?step=3', 'review')
    await shoot(light, '/settings', 'settings', async (page) => {
        await page.getByRole('slider', { name: 'Wednesday ends' }).focus()
        await page.keyboard.press('ArrowRight')
        await page.keyboard.press('ArrowRight')
        await page.locator('.consequence').waitFor()
    })
    const dark = await signedIn(browser, { viewport: { width: 1280, height: 800 }, colorScheme: 'dark' })
    await shoot(dark, '/ledger', 'ledger')
    const phone = await signedIn(browser, { viewport: { width: 390, height: 844 }, colorScheme: 'light' })
    await shoot(phone, '/shape', 'shape-phone')
    setClock('2026-03-11T17:32:00+00:00')
    artisan('nekto:minute')
    await shoot(light, '/close', 'close', (page) => page.getByLabel('went well').fill('Panel 3.3 read aloud, and it holds.'))
    reset()
    const newcomer = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: 'light' })
    await newcomer.goto(`${base}/sign-up`)
    await newcomer.getByLabel('Your name').fill('Wim Aalders')
    await newcomer.getByLabel('Mail address').fill('wim@example.org')
    await newcomer.getByLabel('Password').fill('three words in a row')
    await newcomer.getByRole('button', { name: 'Open it' }).click()
    await newcomer.waitForURL('**/first-day')
    await shoot(newcomer, '/first-day', 'first-day')
    await browser.close()
} finally {
    process.kill(-server.pid)
}

async function signedIn(browser, options) {
    const page = await browser.newPage(options)
    await page.goto(`${base}/sign-in`)
    await page.getByLabel('Mail address').fill('ines@example.org')
    await page.getByLabel('Password').fill('rivers-underfoot')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await page.waitForURL('**/shape')
    return page
}

async function shoot(page, address, name, before = async () => {}) {
    await page.goto(base + address)
    await before(page)
    await page.evaluate(() => document.fonts.ready)
    await page.waitForTimeout(500)
    await page.evaluate(() => scrollTo(0, 0))
    await page.screenshot({ path: `${folder}/${name}.png` })
    console.log(`docs/screenshots/${name}.png`)
}

async function untilUp() {
    for (let i = 0; i < 100; i++) {
        if ((await fetch(`${base}/alive`).catch(() => null))?.ok) {
            return
        }
        await new Promise((resolve) => setTimeout(resolve, 100))
    }
    throw new Error('The server did not start.')
}
