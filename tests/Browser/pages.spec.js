import { expect, test } from './ines.js'
import { number } from './server.js'

/* The pages of a task and a project, Find and Views, by keys alone; how many presses the daily acts take. A typed text counts as one. */

/** Counts presses: keys one by one, a typed text as one. */
function counted(page) {
    let presses = 0
    return {
        press: async (...keys) => { for (const key of keys) { presses++; await page.keyboard.press(key) } },
        type: async (text) => { presses++; await page.keyboard.type(text) },
        count: () => presses,
    }
}

const taskOf = (title) => number(`select id from tasks where title = '${title}'`)

test('estimate and due date of a task are changed in its sentence, each seen before it is kept', async ({ page }) => {
    const id = taskOf('Bicycle repair')
    await page.goto(`/tasks/${id}`)
    const keys = counted(page)
    await keys.press('m')
    await keys.type('1 h 15')
    await expect(page.locator('[data-words]')).toContainText('estimate: 1 h 15, before 45 min')
    expect(number(`select estimate from tasks where id = ${id}`), 'nothing is kept before Enter').toBe(45)
    await keys.press('Enter')
    await expect.poll(() => number(`select estimate from tasks where id = ${id}`)).toBe(75)
    await expect(page.locator('#word-estimate')).toHaveValue('1 h 15')

    await page.locator('body').click({ position: { x: 5, y: 400 } })
    await keys.press('t')
    await keys.type('20 march')
    await expect(page.locator('[data-words]')).toContainText('due')
    await keys.press('Enter')
    await expect.poll(() => number(`select due_on = '2026-03-20' from tasks where id = ${id}`)).toBe(1)
    expect(keys.count(), 'presses for both').toBeLessThanOrEqual(6)
})

test('Esc leaves a word as it was, a slip is said beside it, and Tab goes word by word', async ({ page }) => {
    await page.goto(`/tasks/${taskOf('Bicycle repair')}`)
    await page.locator('#word-estimate').focus()
    await page.keyboard.type('soon')
    await expect(page.locator('[data-words]')).toContainText('Write a duration')
    await page.keyboard.press('Escape')
    await expect(page.locator('#word-estimate')).toHaveValue('45 min')
    await expect(page.locator('[data-words]')).toHaveText('')
    await page.keyboard.press('Tab')
    await expect(page.locator('#word-due_date')).toBeFocused()
})

test('what Enter has stored is not sent again when it is left, and the name is there for the pointer after a change', async ({ page }) => {
    const id = taskOf('Bicycle repair')
    await page.goto(`/tasks/${id}`)
    await page.locator('form[action$="/subtasks"] [name=lines]').fill('Buy a tube')
    await page.locator('form[action$="/subtasks"] button').click()
    const sent = []
    page.on('request', (request) => /\/subtasks\/\d+$/.test(request.url()) && sent.push(request.url()))
    const step = page.locator('.subtasks [name=title]').first()
    await step.press('End')
    await step.pressSequentially(', and a patch')
    await Promise.all([page.waitForResponse(/subtasks/), step.press('Enter')])
    await expect.poll(() => number(`select count(*) from subtasks where title = 'Buy a tube, and a patch'`)).toBe(1)
    await step.press('Tab')
    await page.locator('#word-title').click() // would be sent by now
    await expect(page.locator('#word-title')).toBeFocused()
    expect(sent).toHaveLength(1)
})

test('three steps of a project get another order by keys, and one by dragging', async ({ page }) => {
    await page.goto('/projects/2')
    const titles = () => page.locator('.step-what a').allTextContents()
    const [first, second, third, last] = await titles()
    const keys = counted(page)
    await page.locator('.step-what a').nth(2).focus()
    for (let i = 0; i < 2; i++) {
        await keys.press('Alt+ArrowUp')
        await expect.poll(async () => (await titles()).indexOf(third)).toBe(1 - i)
    }
    await page.locator('.step-what a').filter({ hasText: first }).focus()
    await keys.press('Alt+ArrowDown')
    await expect.poll(titles).toEqual(expect.arrayContaining([third, second, first]))
    expect(keys.count()).toBe(3)

    const from = await page.locator('.step', { hasText: last }).locator('[data-handle]').boundingBox()
    const to = await page.locator('.step').first().boundingBox()
    await page.mouse.move(from.x + 3, from.y + 10)
    await page.mouse.down()
    await page.mouse.move(to.x + 80, to.y + 6, { steps: 6 })
    await page.mouse.up()
    await expect.poll(async () => (await titles())[0]).toBe(last)
    await page.locator('#new-lines').fill('half-title page, 40 min')
    await page.locator('#new-lines').press('Enter')
    await expect(page.locator('.step-what', { hasText: 'half-title page' })).toBeVisible()
})

test('find and hand off, from any screen, in one line or by the entry in hand', async ({ page }) => {
    const keys = counted(page)
    await keys.press('n')
    await expect(page.locator('#find-q')).toBeFocused()
    await keys.type('lyon to adaeze, ask fri')
    await expect(page.locator('[data-does]')).toContainText('waits for Adaeze, asked about Fri 13')
    await keys.press('Enter')
    await expect.poll(() => number("select count(*) from tasks where title = 'Lyon loan schedule' and waiting_for = 'Adaeze' and ask_on = '2026-03-13'")).toBe(1)
    expect(keys.count()).toBe(3)

    await page.goto('/search')
    await page.keyboard.type('ghnet') // a slip
    await expect(page.locator('#found a[data-row]').first()).toContainText('Ghent')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('z')
    await page.keyboard.type('Prue')
    await page.keyboard.press('Enter')
    await expect.poll(() => number("select count(*) from tasks where waiting_for = 'Prue' and title like 'Ghent%'")).toBe(1)
})

test('words of two meanings are written as the other one by a press', async ({ page }) => {
    await page.goto('/gather')
    await page.getByRole('textbox', { name: 'New lines' }).fill('Ring the framer at 7')
    await page.getByRole('button', { name: 'or at 19:00' }).click()
    await expect(page.getByRole('textbox', { name: 'New lines' })).toHaveValue('Ring the framer at 19:00')
    await expect(page.locator('.gloss')).toHaveText(['set for Wed 11, 19:00'])
})

test('a view is built by choosing words, its sums are one key away', async ({ page }) => {
    await page.goto('/views')
    await page.keyboard.press('+')
    await expect(page).toHaveURL(/views\/build/)
    await page.getByLabel('Grouped').selectOption('area')
    await expect(page.locator('#sentence')).toContainText('by area')
    await page.getByLabel('Name of the view').fill('Open by area')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByRole('heading', { name: 'Open by area' })).toBeVisible()
    await page.keyboard.press('v')
    await expect(page.locator('.sums-table tfoot')).toContainText('together')
})
