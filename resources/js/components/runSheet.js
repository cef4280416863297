import { clock, plain } from '../page/clock.js'
import { ask } from '../page/exchange.js'
import { post } from '../page/forms.js'
import Preview from './dropPreview.js'

const STEP = 5

/**
 * Moving blocks and reserved time of the run sheet by pointer or keys, giving tasks of the bank a time by dropping them
 * on it, and dropping small ones on reserved time. What comes of it is the server's answer; while it is in the air it
 * is only a dashed outline, with what would give way.
 * <div x-data="runSheet" data-day data-from data-scale data-offset>
 */
export default () => ({
    init() {
        this.down = (event) => this.start(event)
        this.move = (event) => this.follow(event)
        this.up = (event) => this.drop(event)
        this.lost = () => this.end()
        this.click = (event) => this.swallow(event)
        this.key = (event) => this.nudge(event)
        this.$root.addEventListener('pointerdown', this.down)
        this.$root.addEventListener('click', this.click, true)
        this.$root.addEventListener('keydown', this.key)
        document.addEventListener('pointermove', this.move)
        document.addEventListener('pointerup', this.up)
        document.addEventListener('pointercancel', this.lost)
        this.preview = new Preview(this.$root, this.$refs.sheet, (piece, at, minutes) => this.tryIt(piece, at, minutes))
    },
    destroy() {
        document.removeEventListener('pointermove', this.move)
        document.removeEventListener('pointerup', this.up)
        document.removeEventListener('pointercancel', this.lost)
        this.preview.clear()
    },
    start(event) {
        const block = event.target.closest('.block-movable')
        const row = event.target.closest('tr[data-task]')
        if (event.button === 0 && !block && !row && this.isGap(event)) {
            this.drag = { gap: true, x: event.clientX, y: event.clientY, live: false, first: this.step((event.clientY - this.$refs.sheet.getBoundingClientRect().top) / this.scale()) }
        }
        if (event.button !== 0 || (!block && !row) || event.target.closest('button') || (row && event.pointerType === 'touch')) {
            return
        }
        const minutes = Number((block ?? row).dataset.minutes)
        this.drag = {
            block, row, minutes, wanted: minutes, x: event.clientX, y: event.clientY, live: false,
            resize: event.target.matches('[data-grip]'),
            first: block ? this.fromStart(block) : null,
            grab: block ? event.clientY - block.getBoundingClientRect().top : 8,
        }
    },
    follow(event) {
        const drag = this.drag
        if (!drag) {
            return
        }
        if (!drag.live && Math.hypot(event.clientX - drag.x, event.clientY - drag.y) < 5) {
            return
        }
        drag.live = true
        event.preventDefault()
        getSelection()?.removeAllRanges()
        const sheet = this.$refs.sheet.getBoundingClientRect()
        if (drag.gap) {
            const here = this.step((event.clientY - sheet.top) / this.scale())
            drag.at = Math.min(drag.first, here)
            drag.wanted = Math.max(STEP, Math.abs(here - drag.first))
            this.outline(drag.at, drag.wanted)
            return
        }
        drag.reserve = null
        if (drag.resize) {
            drag.at = drag.first
            drag.wanted = Math.max(STEP, this.step(drag.minutes + (event.clientY - drag.y) / this.scale()))
        } else {
            drag.over = event.clientX > sheet.left - 40 && event.clientX < sheet.right && event.clientY > sheet.top - 20 && event.clientY < sheet.bottom + 20
            drag.at = this.step((event.clientY - drag.grab - sheet.top) / this.scale())
            drag.wanted = drag.block ? drag.minutes : Math.min(drag.minutes || 30, 120)
            drag.reserve = drag.over && !drag.block?.dataset.move ? this.reserveAt(event.clientX, event.clientY) : null
        }
        this.$refs.sheet.querySelectorAll('.reserve-aim').forEach((other) => other !== drag.reserve && other.classList.remove('reserve-aim'))
        if (drag.reserve) {
            drag.reserve.classList.add('reserve-aim')
            this.ghost?.remove()
            this.preview.clear()
        } else if (drag.resize || drag.over) {
            this.outline(drag.at, drag.wanted)
            this.preview.show(drag.block ?? drag.row, drag.at, drag.wanted)
        } else {
            this.ghost?.remove()
            this.preview.clear()
        }
    },
    /** The reserved time under the pointer, unless the block lies in it already. */
    reserveAt(x, y) {
        return document.elementsFromPoint(x, y).find((one) => one.matches('.reserve.block-movable[data-reserve]')) ?? null
    },
    drop() {
        const drag = this.drag
        this.drag = null
        if (!drag?.live) {
            return
        }
        this.dropped = true
        setTimeout(() => { this.dropped = false }, 50)
        if (drag.gap) {
            this.takeTime(drag.at, drag.wanted)
        } else if (drag.reserve) {
            post(`/reserves/${drag.reserve.dataset.reserve}/tasks`, { task: (drag.block ?? drag.row).dataset.task })
        } else if (drag.resize || drag.over) {
            this.set(drag.block, drag.row, drag.at, drag.wanted)
        }
        this.end()
    },
    /** Free time of the lane, where nothing lies that can be taken hold of. */
    isGap(event) {
        const menu = document.getElementById('reserve-ask')
        const box = this.$refs.sheet.getBoundingClientRect()
        return menu && event.pointerType !== 'touch' && this.$refs.sheet.contains(event.target) && !event.target.closest('.sheet a, .sheet button, .sheet form, .sheet section') && event.clientX > box.left + 120 && event.clientX < box.left + 420
    },
    /** What was drawn is asked about: a meeting, or time to keep free. */
    takeTime(at, minutes) {
        const menu = document.getElementById('reserve-ask')
        menu.querySelector('[name=start]').value = clock(this.local(at))
        menu.querySelector('[name=minutes]').value = minutes
        menu.setAttribute('open', '')
        menu.querySelector('[name=title]').focus()
    },
    end() {
        this.drag = null
        this.ghost?.remove()
        this.ghost = null
        this.preview.clear()
        this.$refs.sheet.querySelectorAll('.reserve-aim').forEach((one) => one.classList.remove('reserve-aim'))
    },
    /** A drag ends in a click that nobody meant. */
    swallow(event) {
        if (this.dropped) {
            event.preventDefault()
            event.stopPropagation()
        }
    },
    /** Shift and an arrow: 5 minutes earlier or later, shorter or longer; Enter sets down, Esc leaves. */
    nudge(event) {
        const block = event.target.closest('.block-movable')
        if (!block) {
            return
        }
        const by = { ArrowUp: [-STEP, 0], ArrowDown: [STEP, 0], ArrowLeft: [0, -STEP], ArrowRight: [0, STEP] }[event.key]
        if (by && event.shiftKey) {
            event.preventDefault()
            this.held = this.held?.block === block ? this.held : { block, at: this.fromStart(block), wanted: Number(block.dataset.minutes) }
            this.held.at += by[0]
            this.held.wanted = Math.max(STEP, this.held.wanted + by[1])
            this.outline(this.held.at, this.held.wanted)
            this.preview.show(block, this.held.at, this.held.wanted)
        } else if (this.held && event.key === 'Enter') {
            event.preventDefault()
            event.stopPropagation()
            const { at, wanted } = this.held
            this.held = null
            this.set(block, null, at, wanted)
            this.end()
        } else if (this.held && event.key === 'Escape') {
            event.preventDefault()
            this.held = null
            this.end()
        }
    },
    set(block, row, at, minutes) {
        const day = this.$root.dataset.day
        const values = { day, start: plain(this.local(at)), minutes }
        if (block?.dataset.move) {
            post(block.dataset.move, { ...values, _method: 'PATCH', title: block.querySelector('.title').textContent })
        } else if (block) {
            post(`/blocks/${block.dataset.block}`, { ...values, _method: 'PATCH', mark: block.dataset.mark })
        } else {
            post(`/tasks/${row.dataset.task}/place`, { day, start: values.start })
        }
    },
    /** What the drop would do. Null where that is not known before: reserved time. */
    tryIt(piece, at, minutes) {
        const values = { day: this.$root.dataset.day, start: plain(this.local(at)), minutes }
        if (piece.dataset.move) {
            return Promise.resolve(null)
        }
        return piece.dataset.block ? ask(`/blocks/${piece.dataset.block}/try`, values) : ask(`/tasks/${piece.dataset.task}/try`, values)
    },
    outline(at, minutes) {
        if (!this.ghost?.isConnected) {
            this.ghost = document.createElement('div')
            this.ghost.className = 'ghost'
            this.$refs.sheet.append(this.ghost)
        }
        this.ghost.style.top = `${at * this.scale()}px`
        this.ghost.style.height = `${Math.max(16, minutes * this.scale())}px`
        this.ghost.textContent = `${clock(this.local(at))}–${clock(this.local(at + minutes))}`
    },
    fromStart(block) {
        return Number(block.dataset.start) - Number(this.$root.dataset.from)
    },
    step(minutes) {
        return Math.round(minutes / STEP) * STEP
    },
    scale() {
        return Number(this.$root.dataset.scale)
    },
    /** Minutes from the sheet's top as minutes of the person's day. */
    local(minutes) {
        return (((Number(this.$root.dataset.from) + Number(this.$root.dataset.offset) + minutes) % 1440) + 1440) % 1440
    },
})
