import { expect, signIn, test } from './ines.js'
import { number } from './server.js'

/** Whatever is sent takes so long to be answered. */
async function slow(page, milliseconds) {
    await page.route((url) => !url.pathname.startsWith('/pulse'), async (route) => {
        if (route.request().method() === 'POST') {
            await new Promise((resolve) => setTimeout(resolve, milliseconds))
        }
        await route.continue().catch(() => {}) // the page may be gone
    })
}

const count = (title) => number(`select count(*) from tasks where deleted_at is null and title = '${title.replaceAll("'", "''")}'`)

const rows = (page) => page.locator('#inbox-title').locator('xpath=../..').locator('li[id^=item-]')

/** Further delays and fields of the same kind are looked at with bin/test --long. */
const long = Boolean(process.env.NEKTO_LONG)

const whole = long ? test : test.skip

for (const milliseconds of long ? [0, 300, 2000] : [300]) {
    test.describe(`answers after ${milliseconds} ms`, () => {
        test.use({ start: '/gather' })

        test('three lines typed at speed with Enter between arrive whole, in order, and leave the field at once', async ({ page }) => {
            await slow(page, milliseconds)
            const lines = ['ring the framer', 'glass for room two', 'thank the porters']
            await page.keyboard.press('.')
            for (const line of lines) {
                await page.keyboard.type(line, { delay: 30 })
                await page.keyboard.press('Enter')
                await expect(page.locator('#catch'), 'it leaves the field at once').toHaveValue('', { timeout: 250 })
            }
            for (const line of lines) {
                await expect.poll(() => count(line)).toBe(1)
            }
            expect(number("select count(*) from tasks where title in ('ring the framer', 'glass for room two', 'thank the porters')")).toBe(3)
            await expect(page.locator('#catch')).toHaveValue('')
            await expect(page.locator('#catch')).toBeFocused()
        })

        test('three w in a row sort three items, and the focus is on the next', async ({ page }) => {
            await slow(page, milliseconds)
            const titles = await rows(page).locator('[data-row]').allTextContents()
            await rows(page).first().locator('[data-row]').focus()
            for (let i = 0; i < 3; i++) {
                await page.keyboard.press('w')
                await page.waitForTimeout(120)
            }
            await expect(page.locator(`[data-row]:focus`), 'at once, before any answer').toHaveText(titles[3])
            await expect(rows(page).locator('visible=true')).toHaveCount(titles.length - 3)
            await expect.poll(() => number(`select count(*) from tasks where stage = 'open' and title in (${titles.slice(0, 3).map((title) => `'${title.replaceAll("'", "''")}'`).join()})`)).toBe(3)
            await expect(page.locator(`[data-row]:focus`)).toHaveText(titles[3])
            await expect(page.locator('.station', { hasText: 'Weigh' }).locator('.count')).toHaveText('6')
        })

        test('the stack is weighed as fast as one can press: held keys are for the next card', async ({ page }) => {
            await page.goto('/weigh')
            await slow(page, milliseconds)
            const first = await page.locator('.card-title').textContent()
            for (const key of ['3', 'e', '2', 'e', '4', 'e']) {
                await page.keyboard.press(key)
            }
            await expect(page.locator('.stack .empty')).toBeVisible({ timeout: 20_000 })
            expect(number('select group_concat(importance, 0) is not null from tasks')).toBe(1)
            expect(number(`select importance from tasks where title = '${first}'`)).toBe(3)
            expect(number("select count(*) from tasks where stage = 'open' and importance is null and deleted_at is null and done_at is null")).toBe(0)
        })

        test('undo twice takes two things back, and what is caught between is caught', async ({ page }) => {
            await slow(page, milliseconds)
            await page.fill('#catch', 'first thought')
            await page.press('#catch', 'Enter')
            await page.fill('#catch', 'second thought')
            await page.press('#catch', 'Enter')
            await page.locator('#catch').blur()
            await page.keyboard.press('u')
            await page.keyboard.press('u')
            await page.keyboard.press('.')
            await page.keyboard.type('third thought')
            await page.keyboard.press('Enter')
            await expect.poll(() => count('third thought')).toBe(1)
            await expect.poll(() => count('first thought') + count('second thought')).toBe(0)
        })
    })
}

test.describe('typed text is untouchable', () => {
    const fields = [
        ['the note of a task', '/tasks/1', '[name=note]', 'The mount for 112: I would take the old one'],
        ['a rule', '/settings', '[name=margin_percent]', '35'],
        ['a line of the close', '/close', '#went_well', 'Two rooms hang'],
        ['the entry', '/gather', '#entry textarea', 'Ask the framer for museum glass, and'],
        ['the estimate of a card', '/weigh', '#card-estimate', '95 min'],
        ['the name of a project', '/projects', '[name=name]', 'Lamps of room 3'],
        ['an estimate in a list', '/weigh/list', 'tbody tr:nth-child(2) [name=estimate]', '17 min'],
    ]

    for (const [name, address, field, text] of long ? fields : [fields[0], fields[3], fields[6]]) {
        test(`${name} keeps its text through refresh, other window, other form and reload`, async ({ page, context }) => {
            await page.goto(address)
            await page.locator(field).first().fill('')
            await page.locator(field).first().pressSequentially(text)
            const other = await context.newPage()
            await other.goto('/gather')
            await other.fill('#catch', 'from the other window')
            await other.press('#catch', 'Enter')
            await expect(other.locator('#said')).toContainText('Caught')
            await expect(page.locator('.station', { hasText: 'Gather' }).locator('.count'), 'the page has followed').toHaveText('8')
            await expect(page.locator(field).first()).toHaveValue(text)

            await page.fill('#catch', 'by another form')
            await page.press('#catch', 'Enter')
            await expect(page.locator('#said')).toContainText('Caught')
            if (address !== '/weigh/list') { // there a field that is left is stored
                await expect(page.locator(field).first()).toHaveValue(text)
                await page.reload()
                await expect(page.locator(field).first()).toHaveValue(text)
            }
            await other.close()
        })
    }

    test('a page that is left offers it on return, and it can be put back or let go', async ({ page }) => {
        await page.goto('/tasks/1')
        const before = await page.locator('[name=note]').inputValue()
        await page.locator('[name=note]').fill('half a thought about the')
        await page.goto('/work')
        await page.goto('/tasks/1')
        await expect(page.locator('#typed')).toContainText(/Typed here 10:(19|20), not kept: “half a thought about the”/)
        await expect(page.locator('[name=note]'), 'never by itself').toHaveValue(before)
        await page.locator('#typed').getByRole('button', { name: 'Put it back' }).click()
        await expect(page.locator('[name=note]')).toHaveValue('half a thought about the')
        await expect(page.locator('#typed')).toHaveCount(0)
        await page.goto('/work')
        await page.goto('/tasks/1')
        await page.locator('#typed').getByRole('button', { name: 'Let it go' }).click()
        await page.goto('/tasks/1')
        await expect(page.locator('.says .say')).toHaveCount(0)
        await expect(page.locator('[name=note]')).toHaveValue(before)
    })

    test('elsewhere it is not in the way; Gather knows all that is left lying, and leads there', async ({ page }) => {
        await page.goto('/tasks/1')
        await page.locator('[name=note]').fill('left lying at a task')
        await page.goto('/shape')
        await page.waitForTimeout(300)
        await expect(page.locator('.says .say')).toHaveCount(0)
        await page.goto('/gather')
        await expect(page.locator('#typed')).toContainText('at Invoices and replies, not kept: “left lying at a task”')
        await page.getByRole('button', { name: 'Go there' }).click()
        await page.locator('#typed').getByRole('button', { name: 'Put it back' }).click()
        await expect(page.locator('[name=note]')).toHaveValue('left lying at a task')
    })

    test('what was sent while the page was being left is brought to its end, once, and is no loose end', async ({ page }) => {
        await slow(page, 1500)
        await page.goto('/tasks/1')
        await page.locator('[name=note]').fill('sent on the way out')
        await page.locator('form', { has: page.locator('[name=note]') }).getByRole('button', { name: 'Save' }).first().click()
        await page.goto('/gather')
        await expect.poll(() => number("select count(*) from tasks where id = 1 and note = 'sent on the way out'")).toBe(1)
        await expect(page.locator('#typed')).toHaveCount(0)
        expect(number("select count(*) from plan_revisions where cause = 'changed'")).toBeLessThanOrEqual(1)
    })

    test('what is stored is offered no more', async ({ page }) => {
        await page.goto('/tasks/1')
        await page.locator('[name=note]').fill('a whole thought')
        await page.locator('form', { has: page.locator('[name=note]') }).getByRole('button', { name: 'Save' }).first().click()
        await expect(page.locator('#said')).toBeVisible()
        await page.goto('/work')
        await page.goto('/tasks/1')
        await expect(page.locator('[name=note]')).toHaveValue('a whole thought')
        await expect(page.locator('#typed')).toHaveCount(0)
    })

    test('a text of a window that was closed is offered by the next', async ({ page, context }) => {
        const other = await context.newPage()
        await other.goto('/gather')
        await other.locator('#entry textarea').fill('Ask the framer, and')
        await other.waitForTimeout(400)
        await other.close()
        await page.goto('/gather')
        await expect(page.locator('#typed')).toContainText('Ask the framer, and')
        await page.locator('#typed').getByRole('button', { name: 'Put it back' }).click()
        await expect(page.locator('#entry textarea')).toHaveValue('Ask the framer, and')
    })

    test('a refused line stays where it was typed, with the reason beside it', async ({ page }) => {
        await page.goto('/gather')
        const long = 'Lamps for room 3. '.repeat(6000)
        await page.locator('#entry textarea').fill(long)
        await page.getByRole('button', { name: /^Keep/ }).first().click()
        await expect(page.locator('#said')).toContainText('up to 100,000 characters')
        await expect(page.locator('#entry textarea')).toHaveValue(long)
        await expect(page.locator('#lines-error')).toBeVisible()
    })

    whole('two megabytes into any field are kept, said, and lost nowhere', async ({ page }) => {
        const long = 'x'.repeat(2_000_000)
        for (const [address, field] of [['/gather', '#entry textarea'], ['/tasks/1', '[name=note]'], ['/close', '#went_well']]) {
            await page.goto(address)
            await page.locator(field).evaluate((one, text) => {
                one.removeAttribute('maxlength')
                one.value = text
                one.dispatchEvent(new Event('input', { bubbles: true }))
            }, long)
            await page.locator(field).evaluate((one) => one.form.requestSubmit())
            await expect(page.locator('#said[data-kind=error]')).toBeVisible()
            expect(await page.locator(field).evaluate((one) => one.value.length)).toBe(2_000_000)
            await page.locator(field).evaluate((one) => { one.value = ''; one.dispatchEvent(new Event('input', { bubbles: true })) })
        }
    })

    test('NUL bytes are refused in words and the text stays', async ({ page }) => {
        await page.goto('/projects')
        await page.locator('[name=name]').evaluate((one) => { one.value = 'Room\u0000 3'; one.dispatchEvent(new Event('input', { bubbles: true })) })
        await page.locator('[name=name]').evaluate((one) => one.form.requestSubmit())
        await expect(page.locator('#said')).toContainText('characters in it that no text has')
        expect(await page.locator('[name=name]').inputValue()).toContain('Room')
    })

    test('a server that cannot store it gives the line back', async ({ page }) => {
        await page.route('**/gather', (route) => (route.request().method() === 'POST' ? route.fulfill({ status: 500, body: 'full' }) : route.continue()))
        await page.goto('/gather')
        await page.fill('#catch', 'the disk is full')
        await page.press('#catch', 'Enter')
        await expect(page.locator('#said[data-kind=error]')).toContainText('could not be done')
        await expect(page.locator('#catch')).toHaveValue('the disk is full')
        await page.unroute('**/gather')
        await page.press('#catch', 'Enter')
        await expect.poll(() => count('the disk is full')).toBe(1)
    })

    test('a browser that keeps nothing says so, and nothing typed is lost while the page is open', async ({ page }) => {
        await page.addInitScript(() => {
            Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError') }
            indexedDB.open = () => { throw new DOMException('no', 'SecurityError') }
        })
        await page.goto('/gather')
        await page.locator('#entry textarea').fill('Ask the framer')
        await expect(page.locator('#not-kept')).toContainText('keeps nothing')
        await page.fill('#catch', 'a line all the same')
        await page.press('#catch', 'Enter')
        await expect.poll(() => count('a line all the same')).toBe(1)
        await expect(page.locator('#entry textarea')).toHaveValue('Ask the framer')
    })
})

test.describe('Enter does what the field is for', () => {
    test('hand off: the name typed is who it waits for, and the next card has the focus', async ({ page }) => {
        await page.goto('/weigh')
        const title = await page.locator('.card-title').textContent()
        await page.keyboard.press('z')
        await page.keyboard.type('Wim')
        await page.keyboard.press('Enter')
        await expect(page.locator('#said')).toContainText('waits for Wim')
        expect(number(`select count(*) from tasks where title = '${title}' and stage = 'waiting' and waiting_for = 'Wim'`)).toBe(1)
        await expect(page.locator('form.card')).toBeFocused()
    })

    test('the estimate of a card: weighed by the likely answer, and Enter works from the card too', async ({ page }) => {
        await page.goto('/weigh')
        const title = await page.locator('.card-title').textContent()
        await page.keyboard.press('3')
        await page.keyboard.press('m')
        expect(await page.evaluate(() => getSelection().toString() || document.activeElement.value.slice(document.activeElement.selectionStart, document.activeElement.selectionEnd)), 'selected, so that typing replaces it').toBe(await page.locator('#card-estimate').inputValue())
        await page.keyboard.type('40 min')
        await page.keyboard.press('Enter')
        await expect(page.locator('.card-title')).not.toHaveText(title)
        expect(number(`select estimate from tasks where title = '${title}'`)).toBe(40)
        await expect(page.locator('form.card')).toBeFocused()
        const second = await page.locator('.card-title').textContent()
        await page.keyboard.press('2')
        await page.keyboard.press('Enter') // the focus is on what was pressed last, the importance, or on the card
        await expect(page.locator('.card-title')).not.toHaveText(second)
    })

    test('an estimate in the list is stored and the focus goes on to its row', async ({ page }) => {
        await page.goto('/weigh/list')
        const row = page.locator('tbody tr[data-row]').nth(4)
        const id = await row.getAttribute('id')
        await row.focus()
        await page.keyboard.press('m')
        await page.keyboard.type('55 min')
        await page.keyboard.press('Enter')
        await expect.poll(() => number(`select estimate from tasks where id = ${id.replace('row-', '')}`)).toBe(55)
        await expect(page.locator(`#${id}`)).toBeFocused()
    })

    test('a put-off date is that date and not today', async ({ page }) => {
        await page.goto('/gather')
        const row = page.locator('.inbox-mail li').first()
        const id = (await row.getAttribute('id')).replace('message-', '')
        await row.locator('[data-row]').focus()
        await page.keyboard.press('o')
        await row.locator('[name=date]').fill('17 march')
        await row.locator('[name=date]').press('Enter')
        await expect.poll(() => number(`select strftime('%d', put_off_until) from messages where id = ${id}`)).toBe(17)
    })

    test('the project and the person of several at once', async ({ page }) => {
        await page.goto('/gather')
        const chosen = await rows(page).locator('[type=checkbox]').evaluateAll((all) => all.slice(0, 2).map((one) => { one.click(); return one.value }))
        await page.locator('.sort-bar [name=project]').fill('Lamps')
        await page.locator('.sort-bar [name=project]').press('Enter')
        await expect.poll(() => number(`select count(*) from tasks join projects on projects.id = project_id where projects.name = 'Lamps' and tasks.id in (${chosen})`)).toBe(2)
        await expect(rows(page).locator('[type=checkbox]:checked'), 'the answer is on the page').toHaveCount(0)
        const next = await rows(page).locator('[type=checkbox]').first().evaluate((one) => { one.click(); return one.value })
        await page.locator('.sort-bar [name=waiting_for]').fill('Prue')
        await page.locator('.sort-bar [name=waiting_for]').press('Enter')
        await expect.poll(() => number(`select count(*) from tasks where waiting_for = 'Prue' and id = ${next}`)).toBe(1)
    })

    test('what is chosen while an answer is on its way stays chosen', async ({ page }) => {
        await page.goto('/gather')
        await slow(page, 1500)
        const boxes = rows(page).locator('[type=checkbox]')
        await boxes.nth(0).evaluate((one) => one.click())
        await page.locator('.sort-bar [name=project]').fill('Lamps')
        await page.locator('.sort-bar [name=project]').press('Enter')
        const later = await boxes.nth(3).evaluate((one) => { one.click(); return one.value })
        await expect.poll(() => number("select count(*) from tasks join projects on projects.id = project_id where projects.name = 'Lamps'")).toBe(1)
        await page.waitForTimeout(1500)
        await expect(page.locator(`[type=checkbox][value="${later}"]`)).toBeChecked()
    })

    test('of two answers beside a time it is the one after it', async ({ page }) => {
        await page.goto('/work')
        await page.evaluate(() => {
            const form = document.createElement('form')
            form.className = 'pair'
            form.innerHTML = '<button value="no">No</button><input id="until"><button value="yes">Yes</button>'
            form.addEventListener('submit', (event) => { event.preventDefault(); window.answered = event.submitter.value })
            document.getElementById('main').append(form)
        })
        await page.locator('#until').press('Enter')
        expect(await page.evaluate(() => window.answered)).toBe('yes')
    })

    test('what was prefilled in a field that opens is selected', async ({ page }) => {
        await page.goto('/gather')
        const row = rows(page).filter({ hasText: 'Plate order' })
        await row.locator('[data-row]').focus()
        await page.keyboard.press('g')
        await page.keyboard.type('Lamps')
        await page.keyboard.press('Enter')
        await expect(page.locator('#said')).toContainText('Lamps')
        expect(number("select count(*) from projects where name = 'Lamps'")).toBe(1)
    })
})

test('rows keep their height under the pointer, on every screen with rows', async ({ page }) => {
    for (const address of ['/gather', '/views/no-date', '/weigh/list', '/shape']) {
        await page.goto(address)
        const measure = () => page.locator('.inbox li, tbody tr').evaluateAll((all) => all.map((one) => Math.round(one.getBoundingClientRect().height)))
        await page.mouse.move(2, 2)
        const before = await measure()
        for (const row of (await page.locator('.inbox li, tbody tr').all()).slice(0, 8)) {
            await row.hover({ force: true })
            expect(await measure(), address).toEqual(before)
        }
    }
})

test('grouping a list and changing the condition of a view need no second press', async ({ page }) => {
    await page.goto('/weigh/list')
    await page.locator('#group').selectOption('area')
    await expect(page.locator('h2', { hasText: 'Exhibition' })).toBeVisible()
    await page.goto('/views/build')
    const sentence = await page.locator('#sentence').textContent()
    await page.locator('select[name="conditions[0][what]"]').selectOption({ index: 2 })
    await expect(page.locator('#sentence')).not.toHaveText(sentence)
})

test('undo says what it took back, and redo takes the undo back', async ({ page }) => {
    await page.goto('/gather')
    const title = await rows(page).first().locator('[data-row]').textContent()
    await rows(page).first().locator('[data-row]').focus()
    await page.keyboard.press('s')
    await page.keyboard.press('Enter')
    await page.locator('details[open] button').click({ timeout: 1000 }).catch(() => {})
    await expect(page.locator('#said')).toContainText('someday')
    await page.keyboard.press('u')
    await expect(page.locator('[data-row]', { hasText: title })).toBeVisible()
    await page.keyboard.press('Shift+U')
    await expect(page.locator('#said')).toContainText('Again:')
    await expect(page.locator('[id^=item-] [data-row]', { hasText: title })).toHaveCount(0)
})

test('all keys are found by a word', async ({ page }) => {
    await page.keyboard.press('?')
    await page.locator('#keys-search').fill('anchor')
    await expect(page.locator('#keys [data-means]:visible')).toHaveCount(1)
    await expect(page.locator('#keys [data-means]:visible')).toContainText('anchor a block')
})

test('what the page says lies over no field and no button, and is never printed', async ({ page }) => {
    for (const address of ['/shape', '/work', '/close', '/gather', '/weigh']) {
        await page.goto(address)
        await page.fill('#catch', 'A thought with a rather long title, so that what is said of it takes all of the room that there is for it')
        await page.press('#catch', 'Enter')
        await expect(page.locator('#said')).toBeVisible()
        const covered = await page.evaluate(() => {
            const said = document.getElementById('says')
            return [...document.querySelectorAll('#page a, #page button, #page input, #page select, #page textarea')].filter((one) => {
                const box = one.getBoundingClientRect()
                const top = one.checkVisibility({ contentVisibilityAuto: true, opacityProperty: true, visibilityProperty: true }) && box.width > 1 && box.height > 1 ? document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2) : null
                return top !== null && !said.contains(one) && said.contains(top)
            }).map((one) => one.outerHTML.slice(0, 80))
        })
        expect(covered, address).toEqual([])
        await page.emulateMedia({ media: 'print' })
        await expect(page.locator('#says')).toBeHidden()
        await page.emulateMedia({ media: 'screen' })
    }
})

test.describe('on a phone', () => {
    test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, start: '/gather' })

    test('an inbox row is one line with its likely answer, and one more press for the others', async ({ page }) => {
        const heights = await rows(page).evaluateAll((all) => all.map((one) => one.getBoundingClientRect().height))
        expect(Math.max(...heights)).toBeLessThanOrEqual(56)
        const first = rows(page).first()
        const title = await first.locator('[data-row]').textContent()
        await first.getByRole('button', { name: /More answers/ }).tap()
        await first.locator('summary', { hasText: 'Someday' }).tap()
        await page.getByRole('button', { name: 'For someday' }).tap()
        await expect.poll(() => number(`select count(*) from tasks where stage = 'someday' and title = '${title}'`)).toBe(1)
        const second = await rows(page).locator('visible=true').first().locator('[data-row]').textContent()
        await rows(page).locator('visible=true').first().getByRole('button', { name: 'Weigh it' }).tap()
        await expect.poll(() => number(`select count(*) from tasks where stage = 'open' and title = '${second.replaceAll("'", "''")}'`)).toBe(1)
    })
})

test.describe('by pointer', () => {
    test('a task of the bank is picked without dragging, and what was let go is brought back without hovering', async ({ page }) => {
        const row = page.locator('tr[data-task]', { hasText: 'Floor plan review' }).first()
        await row.hover()
        await row.getByRole('button', { name: /Pick/ }).click()
        await expect(page.locator('#said')).toContainText('Floor plan review')
        await page.goto('/tasks/1')
        await page.getByText('All of it as a form; duplicate, let go').click()
        await page.getByRole('button', { name: 'Let it go', exact: true }).click()
        await page.goto('/views/let-go')
        await page.locator('li', { hasText: 'Invoices and replies' }).getByRole('button', { name: 'Bring back' }).click()
        await expect.poll(() => number('select count(*) from tasks where id = 1 and deleted_at is null')).toBe(1)
    })
})
