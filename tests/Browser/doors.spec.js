import { createHmac } from 'node:crypto'
import { faults } from './faults.js'
import { expect, signIn, test } from './ines.js'
import { HOST, PORT } from './server.js'

/** What an authenticator shows (RFC 6238), so many steps from now. */
function code(secret, ahead = 0) {
    const bits = [...secret.replaceAll(' ', '')].map((letter) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0')).join('')
    const key = Buffer.from(bits.match(/.{8}/g).map((byte) => parseInt(byte, 2)))
    const step = Buffer.alloc(8)
    step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + ahead))
    const digest = createHmac('sha1', key).update(step).digest()
    return String((digest.readUInt32BE(digest.at(-1) & 15) & 0x7fffffff) % 1_000_000).padStart(6, '0')
}

/** As a browser that was never here; first nothing may be on its way that would bring its cookie back. */
async function forget(page) {
    await page.goto('about:blank')
    await page.context().clearCookies()
}

/** Turns the second factor on; resolves to its secret and the recovery codes. */
async function turnOn(page) {
    await page.goto('/account')
    await page.getByLabel('Your password, to set the second factor up').fill('rivers-underfoot')
    await page.getByRole('button', { name: 'Set it up' }).click()
    await expect(page.locator('.code-picture svg path')).toBeVisible()
    const secret = await page.locator('.second-code .token').innerText()
    await page.getByLabel('The code your authenticator shows').fill(code(secret, -1))
    await page.keyboard.press('Enter')
    await expect(page.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem')).toHaveCount(10)
    return { secret, codes: await page.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem').allInnerTexts() }
}

test.afterEach(async ({ page }) => {
    await forget(page) // what was changed of the account goes with the next reset
})

test('a second factor is set up by its picture or its secret, asked for, and replaced by a recovery code once', async ({ page }) => {
    const { secret, codes } = await turnOn(page)
    expect(await faults(page)).toEqual([])
    await page.goto('/account')
    await expect(page.locator('.codes')).toHaveCount(0)

    await forget(page)
    await signIn(page)
    await expect(page).toHaveURL(/\/sign-in\/code$/)
    expect(await faults(page)).toEqual([])
    await page.goto('/shape')
    await expect(page).toHaveURL(/\/sign-in$/)
    await page.goto('/sign-in/code')
    await page.getByLabel(/Code of your authenticator/).fill('000000')
    await page.keyboard.press('Enter')
    await expect(page.locator('#code-error')).toContainText('does not fit')
    await page.getByLabel(/Code of your authenticator/).fill(code(secret))
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/shape$/)

    await forget(page)
    await signIn(page)
    await page.getByLabel(/Code of your authenticator/).fill(codes[0])
    await page.keyboard.press('Enter')
    await page.waitForURL((url) => !url.pathname.startsWith('/sign-in'))
    await page.goto('/account')
    await expect(page.getByText('9 recovery codes left')).toBeVisible()
})

test('a session that is ended elsewhere is signed in again in place, with the code, and what was typed is still there', async ({ page, browser }) => {
    const { secret } = await turnOn(page)
    await page.goto('/gather')
    await page.getByRole('textbox', { name: 'New lines' }).fill('Ring the courier')
    const other = await browser.newContext({ baseURL: `http://${HOST}:${PORT}` })
    const there = await other.newPage()
    await signIn(there)
    await there.getByLabel(/Code of your authenticator/).fill(code(secret))
    await there.keyboard.press('Enter')
    await there.waitForURL('**/shape')
    await there.goto('/account')
    await there.getByRole('button', { name: 'Sign out everywhere else' }).click()
    await expect(there.locator('#said')).toContainText('One other browser was signed out.')
    await other.close()

    await page.getByRole('textbox', { name: 'New lines' }).press('Control+Enter')
    await page.getByRole('button', { name: /Sign in here/ }).click()
    const dialog = page.locator('#sign-in-here')
    await dialog.getByLabel('Mail address').fill('ines@example.org')
    await dialog.getByLabel('Password').fill('rivers-underfoot')
    await dialog.getByRole('button', { name: 'Sign in' }).click()
    await dialog.getByLabel(/Code of your authenticator/).fill(code(secret, 1))
    await dialog.getByRole('button', { name: 'Sign in' }).click()
    await expect(dialog).toHaveCount(0)
    await expect(page.locator('.inbox').getByText('Ring the courier').first()).toBeVisible() // it waited, and was sent
})

test('what is wrong is said in the form it was typed into', async ({ page }) => {
    await page.goto('/account')
    await page.getByLabel('Your password, to delete the account').fill('something else')
    await page.getByRole('button', { name: 'Delete my account' }).click()
    await expect(page.locator('#own-leave-error')).toContainText('not your present password')
    await expect(page.locator('.error:visible')).toHaveCount(1)
    await page.getByLabel('The present one').fill('rivers-underfoot')
    await page.getByLabel('The new one').fill('Password123456')
    await page.getByRole('button', { name: 'Change it' }).click()
    await expect(page.locator('#new-password-error')).toContainText('tried first')
})

test('an account is deleted, rests, and is taken back', async ({ page }) => {
    await page.goto('/account')
    await page.getByLabel('Your password, to delete the account').fill('rivers-underfoot')
    await page.getByRole('button', { name: 'Delete my account' }).click()
    await expect(page.getByRole('status')).toContainText('rests until Wednesday 18 March 2026')
    await signIn(page)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('rests until')
    expect(await faults(page)).toEqual([])
    await page.getByRole('button', { name: 'Keep my account' }).click()
    await expect(page.locator('#said')).toContainText('Your account stays')
})

test('a bookmark catches a page by one press', async ({ page }) => {
    await page.goto('/gather/tokens')
    const script = await page.getByRole('link', { name: 'Catch in Nekto' }).getAttribute('href')
    const address = `${script.match(/open\('([^']*)'/)[1]}${encodeURIComponent('River survey by friday')}&url=${encodeURIComponent('https://example.org/1911')}` // as it builds it on that page
    expect(address).not.toContain('token')
    await page.goto(address)
    await expect(page.getByLabel('As a thought')).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Caught.' })).toBeVisible()
    await page.goto('/gather')
    await expect(page.locator('.inbox').getByText('River survey').first()).toBeVisible()
})

test('without scripts, what was typed into a page that was open too long is there again after signing in', async ({ browser, page }) => {
    const context = await browser.newContext({ baseURL: `http://${HOST}:${PORT}`, javaScriptEnabled: false })
    const plain = await context.newPage()
    await signIn(plain)
    await plain.goto('/gather')
    await plain.getByRole('textbox', { name: 'New lines' }).fill('Ring the courier\nBook the van')
    await context.clearCookies()
    await plain.getByRole('button', { name: /^Keep|^Catch/ }).first().click()
    await plain.getByLabel('Mail address').fill('ines@example.org')
    await plain.getByLabel('Password').fill('rivers-underfoot')
    await plain.getByRole('button', { name: 'Sign in' }).click()
    await expect(plain.getByRole('textbox', { name: 'New lines' })).toHaveValue('Ring the courier\nBook the van')
    await context.close()
    await page.goto('/shape')
})
