/* Catches, sorts and weighs by keys alone, and counts. See bench/hand. */
import { chromium } from '@playwright/test'

const [base, times] = process.argv.slice(2)
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const page = await (await browser.newContext({ baseURL: base, bypassCSP: true, viewport: { width: 1280, height: 800 } })).newPage()
await page.goto('/sign-in')
await page.getByLabel('Mail address').fill('ines@example.org')
await page.getByLabel('Password').fill('rivers-underfoot')
await page.getByRole('button', { name: 'Sign in' }).click()
await page.waitForURL('**/shape')

let presses = 0
const press = (key) => { presses++; return page.keyboard.press(key) }
const type = (text) => page.keyboard.type(text)
const sorted = (all) => [...all].sort((a, b) => a - b)
const at = (all, share) => sorted(all)[Math.min(all.length - 1, Math.floor(all.length * share))]
const said = (all) => `median ${at(all, 0.5).toFixed(0)} ms, 95th percentile ${at(all, 0.95).toFixed(0)} ms`

/* From the key going down to the first frame in which something is so. */
async function timed(key, isSo, argument) {
    await page.evaluate(([so, argument]) => {
        const look = new Function('argument', `return ${so}`)
        addEventListener('keydown', () => {
            const from = performance.now()
            window.painted = null
            const frame = () => (look(argument) ? requestAnimationFrame(() => { window.painted = performance.now() - from }) : requestAnimationFrame(frame))
            requestAnimationFrame(frame)
        }, { capture: true, once: true })
    }, [isSo, argument])
    await press(key)
    await page.waitForFunction(() => typeof window.painted === 'number', null, { timeout: 60_000 })
    return page.evaluate(() => { const took = window.painted; window.painted = undefined; return took })
}

const [leaves, answers, empty] = [[], [], []]
await page.goto('/gather')
for (let i = 0; i < Number(times); i++) {
    await page.locator('#catch').focus()
    await type(`thought ${i} of the bench`)
    await page.evaluate(() => document.getElementById('said')?.remove())
    answers.push(await timed('Enter', "(document.getElementById('said')?.textContent ?? '').includes(argument)", `thought ${i} of the bench`))
    await page.keyboard.press('Escape')
    const row = page.locator('[id^=item-] [data-row]:visible').first()
    const id = await row.evaluate((one) => { one.focus(); return one.closest('li').id })
    leaves.push(await timed('w', "!document.getElementById(argument) || document.getElementById(argument).getClientRects().length === 0", id))
    await page.waitForFunction((id) => !document.getElementById(id), id, { timeout: 120_000 })
    empty.push(await page.evaluate(async () => { const from = performance.now(); await (await fetch('/alive', { cache: 'no-store' })).text(); return performance.now() - from }))
}
console.log(`Enter to the painted answer: ${said(answers)}; a row leaves: ${said(leaves)}; an empty request in the same run: ${said(empty)}`)

presses = 0
for (let i = 0; i < 10; i++) {
    await press('.')
    await type(`thing ${i} for 15 min`)
    await press('Enter')
}
await page.keyboard.press('Escape')
await page.waitForFunction(() => [...document.querySelectorAll('#says')].some((one) => one.textContent.includes('thing 9')))
await page.locator('[id^=item-] [data-row]:visible').first().focus()
for (let i = 0; i < 10; i++) {
    await press('w')
}
console.log(`catch and sort ten lines: ${presses} presses besides the words`)
presses = 0
await page.waitForFunction(() => document.querySelectorAll('[data-gone]').length === 0, null, { timeout: 120_000 })
await page.goto('/weigh')
for (let i = 0; i < 10; i++) {
    const card = await page.locator('form.card').getAttribute('id')
    await press('2')
    await press('e')
    await page.waitForFunction((id) => !document.getElementById(id), card, { timeout: 120_000 })
}
console.log(`weigh ten: ${presses} presses`)
presses = 0
await press('z')
await type('Wim')
await press('Enter')
console.log(`hand one off: ${presses} presses besides the name`)
await browser.close()
