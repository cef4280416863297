/* Drags a block of the next day up and down and waits until the plan is painted anew. See bench/drop. */
import { chromium } from '@playwright/test'

const [base, name, drops] = process.argv.slice(2)
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const page = await (await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } })).newPage()
await page.goto('/sign-in')
await page.getByLabel('Mail address').fill('ines@example.org')
await page.getByLabel('Password').fill('rivers-underfoot')
await page.getByRole('button', { name: 'Sign in' }).click()
await page.waitForURL('**/shape')
await page.goto('/shape/2026-03-12')

/* From the pointer going up to the first frame after the page has the plan's new mark. */
await page.evaluate(() => {
    document.addEventListener('pointerup', () => {
        const from = performance.now()
        const mark = document.getElementById('page').dataset.pulse
        const look = () => document.getElementById('page').dataset.pulse === mark
            ? requestAnimationFrame(look)
            : requestAnimationFrame(() => { window.repainted = performance.now() - from })
        requestAnimationFrame(look)
    }, true)
})

const id = await page.locator('.sheet a.block-movable').nth(2).getAttribute('id')
const repaints = []
const empty = []
for (let i = 0; i < Number(drops); i++) {
    const block = page.locator(`#${id}`)
    const box = await block.boundingBox()
    await page.evaluate(() => { window.repainted = null })
    await page.mouse.move(box.x + 60, box.y + 5)
    await page.mouse.down()
    await page.mouse.move(box.x + 60, box.y + 5 + (i % 2 ? -15.6 : 15.6), { steps: 3 })
    await page.mouse.up()
    await page.waitForFunction(() => window.repainted !== null, null, { timeout: 60_000 })
    repaints.push(await page.evaluate(() => window.repainted))
    empty.push(await page.evaluate(async () => {
        const from = performance.now()
        await (await fetch('/alive', { cache: 'no-store' })).text()
        return performance.now() - from
    }))
}
const sorted = (times) => [...times].sort((a, b) => a - b)
const said = (times) => `median ${sorted(times)[Math.floor(times.length / 2)].toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms`
console.log(`${name}, ${drops} drops: ${said(repaints)}; an empty request in the same run: ${said(empty)}`)
await browser.close()
