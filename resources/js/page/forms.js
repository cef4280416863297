import { chime } from '../sound.js'
import { account } from './account.js'
import { isPending, perform, settled } from './acts.js'
import { isDone as wasDone } from './deliver.js'
import { begin, comeBack, leave, settleRow, show, visit } from './exchange.js'
import { forgetPages } from './offline.js'
import { say } from './says.js'
import { giveBack, held, settle, takeOut } from './typed.js'

const TEXT = 'textarea, input:not([type=hidden], [type=checkbox], [type=radio])'

const ROW = '[data-list] > *'

/** Milliseconds between two looks at what goes on at the server. */
const LOOKS_AGAIN = 1500

const NOT_NOW = {
    away: 'Nekto cannot be reached just now, and this needs it. Nothing was lost; what you typed stays where it is.',
    closed: 'You are signed out on this device. Nothing was lost; sign in here and press it again.',
    often: 'That was too often in a short time. Wait a minute, then try again.',
}

/** Fields of forms that are sent when they change, with what Enter sent of them: leaving them is no second change. */
const sentByEnter = new WeakMap()

const random = () => (crypto.randomUUID ? crypto.randomUUID() : Array.from(crypto.getRandomValues(new Uint8Array(16)), (one) => one.toString(16).padStart(2, '0')).join(''))

/**
 * Sends a form and shows the answer. Resolves to what came of it, as perform() says, and whether it was done.
 *
 * @param after  where the work goes on, called once the answer is shown
 */
export async function send(form, submitter = null, after = () => {}) {
    if (form.ariaBusy === 'true') { // it is being answered, and the answer brings another in its place
        return { kind: 'refused', isDone: false }
    }
    'sound' in form.dataset && chime()
    begin()
    const act = actOf(form, submitter)
    const holding = held(form)
    act.holds = holding.filter(({ value }) => typeof value === 'string').map(({ key, value }) => ({ key, value }))
    const row = 'leaves' in (submitter ?? form).dataset || 'leaves' in form.dataset ? form.closest(ROW) : null
    const caught = 'clear' in form.dataset ? empty(form, holding) : null
    row?.id && goOn(row, act.key)
    'replaced' in form.dataset && (form.ariaBusy = 'true')
    const isTried = form.elements.try !== undefined && submitter?.name !== 'take'
    let isDone = false
    const outcome = await perform(act, {
        refresh: (sent) => bringUpToDate(sent, form),
        finish(came) {
            isDone = ['waits', 'elsewhere'].includes(came.kind) || wasDone(came)
            form.ariaBusy = null
            if (isDone) {
                isTried || settle(holding) // what is only tried is stored nowhere yet
                came.kind === 'waits' || settleRow(act.key)
            } else {
                comeBack(act.key)
                caught && giveBack(caught.field, caught.text)
            }
            tell(came, form)
            isTried && isDone && !form.querySelector('.consequence') && settle(holding) // it is as it was
            after(isDone, came)
        },
    })
    return { ...outcome, isDone }
}

function tell(came, form = null) {
    if (came.kind === 'arrived') {
        show(came.response, came.text, form)
    } else if (came.kind === 'elsewhere') {
        document.dispatchEvent(new CustomEvent('nekto:refresh'))
    } else if (came.kind !== 'waits') {
        say({ id: 'said', kind: 'error', isAlert: true, text: NOT_NOW[came.kind] ?? (came.status === 413 ? 'That is more than can be sent at once. It stays where you typed it.' : 'That could not be done. Nothing was lost; load the page again and repeat it.') })
    }
}

/** Sends values that no form holds, as after a drag. */
export function post(address, values) {
    begin()
    const act = { key: random(), account: account(), at: Date.now(), address, fields: Object.entries(values).map(([name, value]) => [name, String(value)]), words: '', waits: false }
    return perform(act, { finish: (came) => tell(came) })
}

function actOf(form, submitter) {
    const fields = [...new FormData(form, submitter ?? undefined)].filter(([name]) => name !== '_token')
    const texts = [...form.elements].filter((field) => field.matches(TEXT) && field.value.trim() !== '')
    return {
        key: random(), account: account(), at: Date.now(),
        address: submitter?.getAttribute('formaction') ?? form.getAttribute('action'),
        fields,
        words: form.dataset.waits || texts[0]?.value.trim() || submitter?.textContent.trim() || '',
        texts: 'clear' in form.dataset ? texts.map(({ name }) => name) : [],
        waits: ('waits' in form.dataset || 'clear' in form.dataset) && account() !== '' && !fields.some(([, value]) => typeof value !== 'string'),
        late: form.dataset.late ? { address: form.dataset.late, fields: [['ids[]', form.dataset.task], ['to', 'done']] } : null,
    }
}

/** A block's mark is that of the plan as it was drawn: by the time its turn has come another may have been. */
function bringUpToDate(act, form) {
    const mark = form.isConnected && form.getAttribute('action') === act.address ? form.elements.mark : null
    for (const field of mark ? act.fields : []) {
        if (field[0] === 'mark') {
            field[1] = mark.value
        }
    }
}

/** A caught line leaves its field at once. */
function empty(form, holding) {
    const field = [...form.elements].find((one) => one.matches(TEXT))
    const text = field.value
    takeOut(holding)
    form.reset()
    field.value = ''
    form.querySelectorAll('input[name=refused]').forEach((one) => { one.value = '' })
    field.dispatchEvent(new Event('input', { bubbles: true }))
    return { field, text }
}

/** A row that is sent away leaves at once, and the work goes on at the next. */
function goOn(row, key) {
    const hadFocus = row.contains(document.activeElement) || document.activeElement === document.body
    const next = neighbour(row)
    leave(row, key)
    hadFocus && rowsOwn(next)?.focus()
}

function neighbour(row) {
    const stays = (one) => one && !one.hasAttribute('data-gone')
    for (const way of ['nextElementSibling', 'previousElementSibling']) {
        let one = row[way]
        while (one && !stays(one)) {
            one = one[way]
        }
        if (one) {
            return one
        }
    }
    return null
}

const rowsOwn = (row) => (row?.matches('[data-row]') ? row : row?.querySelector('[data-row]')) ?? null

export function listenForForms() {
    document.addEventListener('submit', submitted)
    document.addEventListener('change', ({ target }) => changed(target))
    document.addEventListener('input', ({ target }) => sentByEnter.delete(target))
    document.addEventListener('focusout', ({ target, relatedTarget }) => {
        const form = target.closest('form[data-on-change]')
        const changes = form && !form.contains(relatedTarget) ? [...form.querySelectorAll('[data-changed]')] : [] // two that belong together are sent once both are written
        changes.forEach((field) => { delete field.dataset.changed })
        changes.length && sendChange(form)
    })
    document.addEventListener('keydown', pressedInField, true)
    document.addEventListener('click', clicked)
    document.addEventListener('toggle', opened, true)
    watchProgress()
}

function submitted(event) {
    const form = event.target
    if ('whole' in form.dataset || event.defaultPrevented) {
        form.getAttribute('action') === '/sign-out' && forgetPages()
        return
    }
    const submitter = event.submitter
    if ((submitter?.getAttribute('formmethod') ?? form.method) !== 'post') {
        if (form.closest('.shape') || 'onChange' in form.dataset) {
            event.preventDefault()
            ask(form, submitter)
        }
        return
    }
    event.preventDefault()
    delete form.querySelector('[data-changed]')?.dataset.changed
    const menu = form.closest('details.asks')
    menu?.removeAttribute('open') // answered; it opens again if something is wrong with it
    const row = form.closest(ROW) ?? document.activeElement?.closest(ROW)
    const isReplaced = 'replaced' in form.dataset
    const focused = document.activeElement
    'onChange' in form.dataset && [...form.elements].forEach((field) => field.matches(TEXT) && sentByEnter.set(field, field.value))
    send(form, submitter, (isDone) => {
        if (!isDone) {
            [...form.elements].forEach((field) => sentByEnter.delete(field))
            menu?.isConnected && menu.setAttribute('open', '')
            document.querySelector('[aria-invalid=true]')?.focus({ preventScroll: true })
        } else if (isReplaced) {
            (document.querySelector('form[data-replaced]') ?? document.getElementById('main')).focus({ preventScroll: true })
        } else if (focused?.dataset.then) {
            document.getElementById(focused.dataset.then)?.focus({ preventScroll: true })
        } else if (form.matches('.sort-bar') && focused?.matches(TEXT)) {
            document.querySelector('[data-row]')?.focus() // what was chosen is sorted: on with the list
        } else if (document.activeElement === document.body || (row && focused?.matches(TEXT) && document.activeElement === focused)) {
            rowsOwn(document.getElementById(row?.id ?? '') ?? (row && neighbour(row)))?.focus()
        }
    })
}

/** Asks a question: the answer is another page, shown in place. */
function ask(form, submitter) {
    const asked = new FormData(form, submitter ?? undefined)
    asked.delete('_token')
    return visit(`${submitter?.getAttribute('formaction') ?? form.getAttribute('action')}?${new URLSearchParams(asked)}`)
}

const sendChange = (form) => (form.method === 'post' ? send(form) : ask(form))

function changed(field) {
    if ('sendAtOnce' in field.dataset && field.value) { // a chosen file says by itself that it is to be sent
        field.form.requestSubmit()
        return
    }
    const form = field.closest('form[data-on-change]')
    if (form && sentByEnter.get(field) === field.value) {
        return
    }
    if (form && document.activeElement === field && !field.matches('select, [type=checkbox], [type=radio]')) {
        field.dataset.changed = '' // each digit of a date is a change, and Enter sends it anyway: wait until the field is left
    } else if (form) {
        sendChange(form)
    }
}

/** Enter does what the field is for: the answer it names, or the button beside it; only else the form's first. */
function pressedInField(event) {
    const field = event.target
    if (event.key !== 'Enter' || event.isComposing || !field.matches?.('input:not([type=checkbox], [type=radio], [type=submit]), textarea[data-one-line]') || !field.form || event.ctrlKey || event.metaKey) {
        return
    }
    const buttons = [...field.form.elements].filter((one) => one.matches('button:not([type=button])'))
    const beside = buttons.filter((one) => field.closest('.pair')?.contains(one))
    const button = field.dataset.enter ? buttons.find((one) => one.matches(field.dataset.enter)) : beside.find((one) => field.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) ?? beside[0]
    if (button) {
        event.preventDefault()
        field.form.requestSubmit(button)
    } else if (buttons.length === 0 && 'onChange' in field.form.dataset) { // a form of two fields without a button is sent by nobody else
        event.preventDefault()
        field.form.requestSubmit()
    }
}

/** What a menu asks for can be typed at once, in the place of what stands there. */
function opened(event) {
    const menu = event.target
    if (event.newState !== 'open' || !menu.matches('details.asks')) {
        return
    }
    document.querySelectorAll('details.asks[open]').forEach((other) => other !== menu && !other.contains(menu) && other.removeAttribute('open'))
    const field = menu.querySelector('input:not([type=hidden], [type=checkbox], [type=radio])')
    if (field && document.activeElement !== field && (document.activeElement === document.body || menu.contains(document.activeElement))) {
        field.focus()
        field.select?.()
    }
}

function clicked(event) {
    const others = event.target.closest('[data-others]')
    if (others) {
        const isOpen = others.closest('li').toggleAttribute('data-open')
        others.setAttribute('aria-expanded', isOpen)
    }
    const dialog = event.target.closest('[data-show]')
    if (dialog) {
        document.getElementById(dialog.dataset.show)?.showModal()
    }
    const link = event.target.closest('a[href]')
    if (!link || event.defaultPrevented || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) {
        return
    }
    if (link.matches('a[data-block], a.gauge-piece, a[data-leave], a[data-here]')) {
        event.preventDefault()
        link.closest('.consequence') && takeOut(held(link.closest('form')))
        visit(link.href)
    } else if (isPending() && link.origin === location.origin && !link.target && !link.hasAttribute('download') && !link.getAttribute('href').startsWith('#')) {
        event.preventDefault()
        goTo(link.href) // what was pressed before it is carried out first
    }
}

export function goTo(address) {
    isPending() ? settled().then(() => location.assign(address)) : location.assign(address)
}

/** Long work goes on at the server; while a page shows how far it came, it looks again. */
function watchProgress() {
    setInterval(() => document.querySelector('[data-watch]') && document.visibilityState === 'visible' && document.dispatchEvent(new CustomEvent('nekto:refresh')), LOOKS_AGAIN)
}
