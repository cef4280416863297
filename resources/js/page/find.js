/**
 * The index follows what is typed; an arrow leaves the line and goes into it, left and right to another column, letters go
 * back to the line. Enter in the line does what it says, or opens the first entry.
 */
const PAUSE = 120

let timer = null

let asked = 0

const line = () => document.getElementById('find-q')

const rows = () => [...document.querySelectorAll('#found [data-row]')].filter((row) => row.offsetParent !== null)

export function listenForFinding() {
    document.addEventListener('input', ({ target }) => {
        if (target.id === 'find-q') {
            clearTimeout(timer)
            timer = setTimeout(follow, PAUSE)
        }
    })
    document.addEventListener('submit', (event) => {
        if (event.target.matches('form[data-find]')) {
            event.preventDefault()
            open()
        }
    }, true)
    document.addEventListener('keydown', (event) => {
        if (!line() || event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) {
            return
        }
        if (event.target === line() && event.key === 'ArrowDown') {
            event.preventDefault()
            rows()[0]?.focus()
        } else if (event.target.matches?.('#found [data-row]') && event.key === 'ArrowUp' && rows()[0] === event.target) {
            event.preventDefault()
            event.stopPropagation()
            line().focus()
        } else if (event.target.matches?.('#found [data-row]') && ['ArrowLeft', 'ArrowRight'].includes(event.key)) {
            event.preventDefault()
            event.stopPropagation()
            beside(event.target, event.key === 'ArrowRight' ? 1 : -1)?.focus()
        } else if (event.target.matches?.('#found [data-row]') && ['ArrowDown', 'ArrowUp'].includes(event.key)) {
            event.preventDefault()
            event.stopPropagation()
            const all = rows()
            all[all.indexOf(event.target) + (event.key === 'ArrowDown' ? 1 : -1)]?.focus()
        } else if (event.key === 'Escape' && event.target.closest?.('#found')) {
            event.preventDefault()
            event.stopPropagation()
            line().focus()
        }
    }, true)
}

/** The entry at about the same height in the next column. */
function beside(row, way) {
    const here = row.getBoundingClientRect()
    return rows().map((other) => [other, other.getBoundingClientRect()]).filter(([, box]) => (way > 0 ? box.left > here.left + 40 : box.left < here.left - 40))
        .sort(([, a], [, b]) => Math.abs(a.left - here.left) - Math.abs(b.left - here.left) || Math.abs(a.top - here.top) - Math.abs(b.top - here.top))[0]?.[0]
}

async function open() {
    clearTimeout(timer)
    await follow()
    const does = document.querySelector('#found [data-does]')
    if (does) {
        does.form.requestSubmit(does)
    } else {
        rows()[0]?.click()
    }
}

async function follow() {
    const field = line()
    if (!field) {
        return
    }
    const turn = ++asked
    const words = field.value.trim()
    const address = `/search?${new URLSearchParams({ q: words })}`
    const response = await fetch(address, { headers: { Accept: 'text/html' } }).catch(() => null)
    if (turn !== asked || !response?.ok || !line()) {
        return
    }
    const page = new DOMParser().parseFromString(await response.text(), 'text/html')
    for (const id of ['found', 'find-lie']) {
        const now = page.getElementById(id)
        now && document.getElementById(id)?.replaceChildren(...now.childNodes)
    }
    history.replaceState(history.state, '', address)
}
