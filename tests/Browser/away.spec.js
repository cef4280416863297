import { faults } from './faults.js'
import { expect, signIn, test } from './ines.js'
import { environment, HOST, kill, number, serve } from './server.js'

const count = (title) => number(`select count(*) from tasks where title = '${title}'`)

const network = (page) => page.locator('#network')

async function caught(page, line) {
    await page.fill('#catch', line)
    await page.press('#catch', 'Enter')
    await expect(page.locator('#catch')).toHaveValue('')
}

test.describe('without a network', () => {
    test.use({ start: '/gather' })

    test('lines wait here, say so, and arrive exactly once and in order when it is back', async ({ page, context }) => {
        await context.setOffline(true)
        for (const line of ['Ask Prue who turned plate 12', 'Two more straps', 'Thank the porters']) {
            await caught(page, line)
        }
        await expect(network(page)).toContainText(/Away from the network. Last seen 10:(19|20); 3 lines wait to be sent./)
        await expect(page.locator('#waiting-here li .what')).toHaveText(['Ask Prue who turned plate 12', 'Two more straps', 'Thank the porters'])
        expect(count('Two more straps')).toBe(0)
        expect(await faults(page), 'everybody can use it in this state').toEqual([])

        await context.setOffline(false)
        await expect(page.locator('#back')).toContainText('3 lines sent.')
        await expect(network(page)).toHaveCount(0)
        await expect(page.locator('#waiting-here')).toBeHidden()
        await expect(page.locator('[id^=item-]', { hasText: 'Thank the porters' })).toBeVisible()
        expect(number("select group_concat(title, '|') = 'Ask Prue who turned plate 12|Two more straps|Thank the porters' from (select title from tasks order by id desc limit 3) ") + number("select group_concat(title, '|') = 'Thank the porters|Two more straps|Ask Prue who turned plate 12' from (select title from tasks order by id desc limit 3)")).toBe(1)
        expect(count('Two more straps')).toBe(1)
    })

    test('undo takes back what waits, and its text is in the field again', async ({ page, context }) => {
        await context.setOffline(true)
        await caught(page, 'Half a thought')
        await expect(network(page)).toContainText('one line waits')
        await page.locator('#catch').blur()
        await page.keyboard.press('u')
        await expect(page.locator('#entry textarea')).toHaveValue('Half a thought')
        await context.setOffline(false)
        await expect(network(page)).toHaveCount(0)
        expect(count('Half a thought')).toBe(0)
    })

    test('sorting goes on, and what needs the network says so and loses nothing', async ({ page, context }) => {
        const title = await page.locator('[id^=item-] [data-row]').first().textContent()
        await context.setOffline(true)
        await page.locator('[id^=item-] [data-row]').first().focus()
        await page.keyboard.press('w')
        await expect(page.locator('[id^=item-] [data-row]').first()).toBeHidden()
        await page.goto('/tasks/1').catch(() => {}) // the browser's own page: no service worker here
        await context.setOffline(false)
        await page.goto('/gather')
        await expect.poll(() => number(`select count(*) from tasks where stage = 'open' and title = '${title}'`)).toBe(1)
    })

    test('what needs an answer is refused in words, and the text stays', async ({ page, context }) => {
        await page.goto('/tasks/1')
        await page.locator('[name=note]').fill('The mount for 112')
        await context.setOffline(true)
        await page.locator('form', { has: page.locator('[name=note]') }).getByRole('button', { name: 'Save' }).first().click()
        await expect(page.locator('#said[data-kind=error]')).toContainText('cannot be reached just now')
        await expect(page.locator('[name=note]')).toHaveValue('The mount for 112')
        await context.setOffline(false)
    })

    test('what was sent on the way out and never arrived is said, and its text is offered, not taken for stored', async ({ page }) => {
        await page.goto('/tasks/1')
        await page.locator('[name=note]').fill('sent into the void')
        await page.route('**/tasks/1', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()))
        await page.locator('form', { has: page.locator('[name=note]') }).getByRole('button', { name: 'Save' }).first().click()
        await page.goto('/shape')
        await expect(page.locator('.say[data-kind=error]')).toContainText('could not be reached')
        await page.waitForTimeout(1200) // nobody expects it any more
        await page.goto('/tasks/1')
        await expect(page.locator('#typed')).toContainText('sent into the void')
        await page.unroute('**/tasks/1')
        await page.locator('#typed').getByRole('button', { name: 'Put it back' }).click()
        await expect(page.locator('[name=note]')).toHaveValue('sent into the void')
    })

    test('whatever leaves its field at once waits: steps of a task too; and what waits is called by its name', async ({ page, context }) => {
        await page.goto('/tasks/3')
        await context.setOffline(true)
        await page.locator('form[action$="/subtasks"] [name=lines]').fill('Measure the plinths 20 min\nPhotograph them')
        await page.locator('form[action$="/subtasks"]').getByRole('button', { name: 'Add' }).click()
        await expect(network(page)).toContainText('2 lines wait to be sent')
        await context.setOffline(false)
        await expect.poll(() => page.locator('.subtasks [name=title]').evaluateAll((all) => all.map((one) => one.value))).toContain('Photograph them')
        expect(number("select count(*) from subtasks where title = 'Photograph them'")).toBe(1)
        await page.goto('/gather')
        await context.setOffline(true)
        await page.locator('[id^=item-] [data-row]').first().focus()
        await page.keyboard.press('w')
        await caught(page, 'and a thought')
        await expect(network(page)).toContainText('2 things wait to be sent')
        await context.setOffline(false)
        await expect(page.locator('#back')).toContainText('2 things sent.')
    })

    test('a window that is closed meanwhile has lost nothing', async ({ page, context }) => {
        await context.setOffline(true)
        await caught(page, 'Kept in a closed window')
        await expect(network(page)).toBeVisible()
        await page.close()
        await context.setOffline(false)
        const next = await context.newPage()
        await next.goto('/shape')
        await expect.poll(() => count('Kept in a closed window')).toBe(1)
        await expect(next.locator('#back')).toContainText('One line sent.')
    })

    test('a device whose clock is a day wrong tells the true time', async ({ page, context }) => {
        await page.addInitScript(() => {
            const real = Date.now
            Date.now = () => real() + 86_400_000
        })
        await page.goto('/gather')
        await context.setOffline(true)
        await caught(page, 'On a wrong clock')
        await expect(page.locator('#waiting-here .when')).toHaveText(/10:(19|20)/)
        await context.setOffline(false)
        await expect.poll(() => count('On a wrong clock')).toBe(1)
        expect(number("select strftime('%d', created_at) from tasks where title = 'On a wrong clock'")).toBe(11)
    })
})

test.describe('while the server is down', () => {
    test.use({ start: null })
    const port = Number(process.env.E2E_PORT ?? 8765) + 3
    const base = `http://${HOST}:${port}`

    test('catching goes on, also when it dies between a line and its answer', async ({ page }) => {
        environment.APP_URL = base
        let server = await serve(port)
        try {
            await page.goto(`${base}/sign-in`)
            if (page.url().endsWith('/sign-in')) {
                await page.getByLabel('Mail address').fill('ines@example.org')
                await page.getByLabel('Password').fill('rivers-underfoot')
                await page.getByRole('button', { name: 'Sign in' }).click()
                await page.waitForURL((url) => !url.pathname.endsWith('/sign-in'))
            }
            await page.goto(`${base}/gather`)
            for (let i = 0; i < 3; i++) {
                await page.fill('#catch', `thought ${i}`)
                await page.press('#catch', 'Enter')
                await page.waitForTimeout(40 * i)
                kill(server) // before, while or after it was stored
                await caught(page, `while it was down ${i}`)
                server = await serve(port)
                await page.evaluate(() => dispatchEvent(new Event('online')))
                await expect.poll(() => count(`while it was down ${i}`), { timeout: 30_000 }).toBe(1)
                await expect.poll(() => count(`thought ${i}`)).toBe(1)
            }
            await expect(page.locator('#catch')).toHaveValue('')
        } finally {
            kill(server)
        }
    })
})

test.describe('signed out meanwhile', () => {
    test.use({ start: '/tasks/1' })

    test('the page stays, what is typed is kept, and signing in there sends what waited', async ({ page, context }) => {
        await page.locator('[name=note]').fill('half a note')
        await context.clearCookies()
        await caught(page, 'After the session had ended')
        await expect(network(page)).toContainText(/Signed out at 10:(19|20) on this device. What you type is kept until you sign in./)
        expect(page.url()).toContain('/tasks/1')
        await page.getByRole('button', { name: 'Sign in here' }).click()
        const dialog = page.locator('#sign-in-here')
        await dialog.getByLabel('Mail address').fill('ines@example.org')
        await dialog.getByLabel('Password').fill('wrong')
        await dialog.getByRole('button', { name: 'Sign in' }).click()
        await expect(dialog.locator('.error')).toBeVisible()
        await dialog.getByLabel('Password').fill('rivers-underfoot')
        await dialog.getByRole('button', { name: 'Sign in' }).click()
        await expect(dialog).toHaveCount(0)
        await expect.poll(() => count('After the session had ended')).toBe(1)
        await expect(page.locator('[name=note]')).toHaveValue('half a note')
        await page.locator('form', { has: page.locator('[name=note]') }).getByRole('button', { name: 'Save' }).first().click()
        await expect(page.locator('#said')).toContainText(/kept|saved/i)
        expect(number("select count(*) from tasks where id = 1 and note = 'half a note'")).toBe(1)
    })

    test('what one account had to send never becomes another\'s', async ({ page, context }) => {
        await context.setOffline(true)
        await caught(page, 'Of Ines alone')
        await expect(network(page)).toBeVisible()
        await context.route('**/gather', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()))
        await context.setOffline(false)
        const other = await context.newPage()
        await other.goto('/settings')
        await other.locator('.person summary').click()
        await other.locator('.person').getByRole('button', { name: 'Sign out' }).click()
        await other.waitForURL('**/sign-in')
        await other.goto('/sign-up')
        await other.fill('[name=name]', 'Wim')
        await other.fill('[name=email]', `wim${Date.now()}@example.org`)
        await other.fill('[name=password]', 'rivers-underfoot')
        await other.getByRole('button', { name: /Open/ }).click()
        await other.waitForURL((url) => !url.pathname.endsWith('/sign-up'))
        await other.goto('/gather')
        await other.waitForTimeout(1500)
        expect(count('Of Ines alone')).toBe(0)
        await expect(other.locator('body')).not.toContainText('Of Ines alone')
        await context.clearCookies()
        await context.unroute('**/gather')
        await signIn(page)
        await expect.poll(() => count('Of Ines alone')).toBe(1)
        expect(number("select count(*) from tasks join users on users.id = user_id where title = 'Of Ines alone' and email = 'ines@example.org'")).toBe(1)
    })
})

test.describe('installed', () => {
    test.use({ serviceWorkers: 'allow', start: '/shape' })

    test('opens to the last seen day without a network, says so, and catches there', async ({ page, context }) => {
        await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated' && (await caches.keys()).length > 0)
        await page.goto('/gather')
        await page.goto('/shape')
        await page.waitForFunction(async () => (await (await caches.open('nekto-pages')).match('/shape')) !== undefined)
        await context.setOffline(true)
        await page.goto('/shape')
        await expect(page.locator('h1')).toHaveText('Wednesday 11 March')
        await expect(page.locator('.sheet a.block').first()).toBeVisible()
        await expect(network(page)).toContainText('Away from the network. Last seen')
        await caught(page, 'Caught on the train')
        await expect(network(page)).toContainText('one line waits')
        await page.goto('/gather')
        await expect(page.locator('#waiting-here li')).toHaveCount(1)
        await page.goto('/close') // never seen: the day is shown instead
        await expect(page.locator('h1')).toHaveText('Wednesday 11 March')
        await context.setOffline(false)
        await page.goto('/gather')
        await expect.poll(() => count('Caught on the train')).toBe(1)
    })

    test('takes what is shared without a network too', async ({ page, context }) => {
        await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated')
        await page.goto('/gather')
        await page.waitForFunction(async () => (await (await caches.open('nekto-pages')).match('/gather')) !== undefined)
        await context.setOffline(true)
        await page.goto('/share?title=Canal+survey&url=https%3A%2F%2Fexample.org%2Fscans')
        await expect(page.locator('#entry textarea')).toHaveValue('Canal survey https://example.org/scans')
        await page.locator('#entry textarea').press('Control+Enter')
        await expect(network(page)).toContainText('one line waits')
        await context.setOffline(false)
        await page.goto('/gather')
        await expect.poll(() => count('Canal survey')).toBe(1)
    })

    test('nobody sees the last day of who has signed out', async ({ page, context }) => {
        await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated')
        await page.goto('/shape')
        await page.waitForFunction(async () => (await (await caches.open('nekto-pages')).match('/shape')) !== undefined)
        await page.locator('.person summary').click()
        await page.locator('.person').getByRole('button', { name: 'Sign out' }).click()
        await page.waitForURL('**/sign-in')
        await page.waitForFunction(async () => (await (await caches.open('nekto-pages')).keys()).length === 0)
        await context.setOffline(true)
        await page.goto('/shape')
        await expect(page.locator('h1')).toHaveText('Away from the network')
    })

    test('has a manifest with icons of our own mark that are there, and takes what is shared', async ({ page }) => {
        const manifest = await (await page.request.get(await page.locator('link[rel=manifest]').getAttribute('href'))).json()
        expect([manifest.display, manifest.start_url]).toEqual(['standalone', '/shape'])
        for (const { src } of manifest.icons) {
            expect((await page.request.get(src)).ok(), src).toBe(true)
        }
        const { action, params } = manifest.share_target
        await page.goto(`${action}?${new URLSearchParams({ [params.title]: 'Canal survey, 1911', [params.text]: '', [params.url]: 'https://example.org/scans' })}`)
        await expect(page.locator('#entry textarea')).toHaveValue('Canal survey, 1911 https://example.org/scans')
        await page.getByRole('button', { name: /^Keep/ }).first().click()
        await expect.poll(() => count('Canal survey, 1911')).toBe(1)
    })
})

test('two windows of one browser send what waits once', async ({ page, context }) => {
    const other = await context.newPage()
    await other.goto('/gather')
    await context.setOffline(true)
    await caught(page, 'From the first window')
    await caught(other, 'From the second window')
    await context.setOffline(false)
    await expect.poll(() => count('From the first window') + count('From the second window')).toBe(2)
    await page.waitForTimeout(1500)
    expect(count('From the first window')).toBe(1)
    expect(count('From the second window')).toBe(1)
})

test('a window that is closed in the same breath as Enter has lost nothing', async ({ page, context }) => {
    for (let i = 0; i < 6; i++) {
        const other = await context.newPage()
        await other.goto('/gather')
        await other.evaluate(() => { // the database answers late
            const open = indexedDB.open.bind(indexedDB)
            indexedDB.open = (...all) => { const until = Date.now() + 30; while (Date.now() < until); return open(...all) }
        })
        await other.fill('#catch', `closed at once ${i}`)
        await other.press('#catch', 'Enter', { noWaitAfter: true })
        await other.close()
    }
    await page.waitForTimeout(2200)
    await page.goto('/shape')
    for (let i = 0; i < 6; i++) {
        await expect.poll(() => count(`closed at once ${i}`)).toBe(1)
    }
})
