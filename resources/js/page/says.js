/*
 * The one place for what the page itself has to say, at the right of the title: answers, change notes, reminders, away,
 * kept text, errors. One line, the latest; the others are behind its figure. Never over a field or a button.
 *
 * A line: { id, kind, lead, text, actions: [{ label, act, isOver }], href, link (to join a meeting), close }; or an element the server drew.
 */

/** Seconds that an answer stays, and while it is hovered or has the focus. */
const STAYS = 8

const PASSING = ['answer', 'back']

/** Lines by their id, with what is left of their time. */
const lines = new Map()

let number = 0

const place = () => document.getElementById('says')

export function listenForSaying() {
    hear(place())
    setInterval(age, 1000)
    document.addEventListener('click', (event) => {
        const more = event.target.closest('.says-more')
        if (more) {
            place().classList.toggle('says-open')
            more.setAttribute('aria-expanded', place().classList.contains('says-open'))
            draw()
        } else if (!event.target.closest('#says')) {
            place()?.classList.remove('says-open')
        }
        const closed = event.target.closest('#says .say .close')?.closest('.say')
        closed && unsay(closed.id, true)
    })
    document.addEventListener('keydown', (event) => {
        const line = event.key === 'Escape' && event.target.closest?.('#says .say')
        if (line && line.querySelector('.close')) {
            event.preventDefault()
            unsay(line.id, true)
        }
    })
}

/** Takes over what the server has drawn: of an answer the newest; what is true as long as it is drawn, until it is not. */
export function hear(drawn) {
    const heard = [...(drawn?.querySelectorAll(':scope > .say[data-said]') ?? [])]
    for (const [id, line] of lines) {
        if (line.isDrawn && line.kind !== 'answer' && line.kind !== 'error' && !heard.some((one) => one.id === id)) {
            lines.delete(id)
        }
    }
    if (heard.some(({ id }) => id === 'said')) {
        lines.delete('said') // a newer answer
        for (const [id, line] of lines) {
            line.kind === 'error' && lines.delete(id)
        }
    }
    for (const node of heard) {
        const before = lines.get(node.id)
        const own = node.ownerDocument === document ? node : document.importNode(node, true)
        lines.set(node.id, { id: node.id, kind: node.dataset.kind, node: own, isDrawn: true, left: STAYS, at: before?.at ?? ++number })
    }
    draw()
}

export function say(line) {
    const before = lines.get(line.id)
    if (before?.kind === line.kind && before.lead === line.lead && before.text === line.text && before.left > 0) {
        before.left = STAYS // said again: whoever has the focus on it keeps it
        return
    }
    lines.set(line.id, { ...line, left: STAYS, at: before?.at ?? ++number, node: element(line) })
    draw()
}

/** @param byHand  whether somebody has put it away */
export function unsay(id, byHand = false) {
    const line = lines.get(id)
    if (line) {
        const hadFocus = line.node.contains(document.activeElement)
        lines.delete(id)
        byHand && line.close?.()
        draw()
        hadFocus && (place()?.querySelector('.say button, .say a') ?? document.getElementById('main'))?.focus({ preventScroll: true })
    }
}

export const isSaid = (id) => lines.has(id)

function age() {
    const held = place()?.matches(':hover, :focus-within')
    for (const [id, line] of lines) {
        if (PASSING.includes(line.kind) && !held && --line.left <= 0) {
            unsay(id)
        }
    }
}

function draw() {
    const at = place()
    if (!at) {
        return
    }
    const order = [...lines.values()].sort((a, b) => (b.kind === 'error') - (a.kind === 'error') || b.at - a.at).map(({ node }) => node)
    const shown = [...at.children].filter((child) => child.matches('.say'))
    if (order.length !== shown.length || order.some((node, i) => node !== shown[i])) {
        at.replaceChildren(...order)
    }
    const isCut = order.length > 0 && order[0].firstElementChild.scrollHeight > order[0].firstElementChild.clientHeight + 2
    if (order.length > 1 || isCut || at.classList.contains('says-open')) {
        const more = document.createElement('button')
        more.type = 'button'
        more.className = 'says-more'
        more.setAttribute('aria-expanded', at.classList.contains('says-open'))
        const isOpen = at.classList.contains('says-open')
        more.setAttribute('aria-label', isOpen ? 'Only the latest' : order.length > 1 ? `${order.length - 1} more to read` : 'All of it')
        more.textContent = isOpen ? 'Less' : order.length > 1 ? `+${order.length - 1}` : '…'
        at.querySelector('.says-more')?.remove()
        at.append(more)
    } else {
        at.classList.remove('says-open')
        at.querySelector('.says-more')?.remove()
    }
}

function element({ id, kind, lead, text, actions = [], href, link, close, isAlert, isBare }) {
    const node = document.createElement('div')
    node.className = kind === 'reminder' ? 'say reminder' : 'say'
    node.id = id
    node.dataset.kind = kind
    isAlert && node.setAttribute('role', 'alert')
    const words = document.createElement('p')
    if (lead) {
        const first = document.createElement(href ? 'a' : 'b')
        first.textContent = lead
        href && (first.href = href)
        words.append(first, ' ')
    }
    words.append(text ?? '')
    node.append(words)
    if (link && /^https:/.test(link)) {
        const join = document.createElement('a')
        join.className = 'button'
        join.href = link
        join.target = '_blank'
        join.rel = 'noopener noreferrer'
        join.dataset.pageKey = 'h'
        join.textContent = 'Join it'
        node.append(join)
    }
    for (const { label, act, isOver } of actions) {
        const button = document.createElement('button')
        button.type = 'button'
        button.className = isOver ? 'button button-over' : 'button'
        button.textContent = label
        button.addEventListener('click', act)
        node.append(button)
    }
    if (close || (!isBare && actions.length === 0)) {
        const button = document.createElement('button')
        button.type = 'button'
        button.className = 'close'
        button.setAttribute('aria-label', lead ? `Put away: ${lead}` : 'Put away')
        button.textContent = '×'
        node.append(button)
    }
    return node
}
