import { post } from './forms.js'

/** Rows of <ol data-order="address"> are dragged by their handle to another place, also into another list of the page. */
let held = null

export function listenForOrder() {
    document.addEventListener('pointerdown', (event) => {
        const handle = event.target.closest?.('[data-handle]')
        const row = handle?.closest('[data-order] > *')
        if (row && event.button === 0) {
            event.preventDefault()
            held = { row, target: null, before: null }
            row.classList.add('step-dragged')
            handle.setPointerCapture?.(event.pointerId)
        }
    })
    document.addEventListener('pointermove', (event) => held && follow(event))
    document.addEventListener('pointerup', () => held && drop())
    document.addEventListener('pointercancel', () => held && clear())
    document.addEventListener('keydown', (event) => {
        if (held && event.key === 'Escape') {
            event.stopPropagation()
            clear()
        }
    }, true)
}

function follow(event) {
    unmark()
    const under = document.elementsFromPoint(event.clientX, event.clientY)
    const list = under.map((one) => one.closest('[data-order]')).find(Boolean)
    const row = under.map((one) => one.closest('[data-order] > *')).find(Boolean)
    if (!list) {
        held.target = null
        return
    }
    held.target = list
    if (!row || row === held.row) {
        held.before = row === held.row ? undefined : null
        return
    }
    const box = row.getBoundingClientRect()
    const isAbove = event.clientY < box.top + box.height / 2
    row.classList.add(isAbove ? 'step-before' : 'step-after')
    held.before = isAbove ? row : row.nextElementSibling
}

function drop() {
    const { row, target, before } = held
    clear()
    if (target && before !== undefined && before !== row) {
        post(target.dataset.order, { task: row.dataset.task, move: 'to', before: before?.dataset.task ?? '', section: target.dataset.section ?? '' })
    }
}

function clear() {
    unmark()
    held?.row.classList.remove('step-dragged')
    held = null
}

function unmark() {
    document.querySelectorAll('.step-before, .step-after').forEach((one) => one.classList.remove('step-before', 'step-after'))
}
