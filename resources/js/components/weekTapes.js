import { clock, plain } from '../page/clock.js'
import { ask } from '../page/exchange.js'
import { post } from '../page/forms.js'
import { dropLines } from './dropLines.js'

const STEP = 5

/** After so many milliseconds of rest the plan is asked what a drop would do. */
const REST = 120

const DAY = 86_400_000

/**
 * Moving blocks between the days and times of a week, one or several, by pointer, finger or keys, and giving work without
 * a place one. What comes of it is the server's answer; while it is in the air it is a dashed outline with what would
 * give way.
 * <div x-data="weekTapes"> around <div class="week" data-from data-length>
 */
export default () => ({
    init() {
        this.week = this.$root.querySelector('.week')
        this.ids = new Set() // of what is chosen: a page that is shown anew brings its own classes
        this.on = { 'nekto:shown': () => this.again(), pointermove: (event) => this.follow(event), pointerup: () => this.drop(), pointercancel: () => this.end() }
        Object.entries(this.on).forEach(([name, listener]) => document.addEventListener(name, listener))
        this.$root.addEventListener('pointerdown', (event) => this.start(event))
        this.$root.addEventListener('click', (event) => this.clicked(event), true)
        this.$root.addEventListener('keydown', (event) => this.pressed(event))
    },
    destroy() {
        Object.entries(this.on).forEach(([name, listener]) => document.removeEventListener(name, listener))
        this.end()
    },
    start(event) {
        const piece = event.target.closest('.week-movable, .no-place a')
        if (event.button !== 0 || !piece || event.shiftKey || event.ctrlKey || event.metaKey) {
            return
        }
        this.drag = { piece, x: event.clientX, y: event.clientY, live: false, resize: event.target.matches('[data-grip]'), grab: this.isBlock(piece) ? event.clientX - piece.getBoundingClientRect().left : 8 }
    },
    follow(event) {
        const drag = this.drag
        if (!drag || (!drag.live && Math.hypot(event.clientX - drag.x, event.clientY - drag.y) < 5)) {
            return
        }
        drag.live = true
        event.preventDefault()
        getSelection()?.removeAllRanges()
        const held = this.hold(drag.piece)
        const row = drag.resize ? this.row(held.day) : this.rowAt(event.clientY)
        if (!row) {
            this.clear()
            return
        }
        if (drag.resize) {
            held.minutes = Math.max(STEP, this.step(Number(drag.piece.dataset.minutes) + (event.clientX - drag.x) / this.scale(row)))
        } else {
            held.day = row.dataset.day
            held.at = this.within(this.from() + (event.clientX - drag.grab - this.tape(row).left) / this.scale(row), held.minutes)
        }
        this.show()
    },
    drop() {
        const isLive = this.drag?.live
        this.drag = null
        if (isLive) {
            this.dropped = true
            setTimeout(() => { this.dropped = false }, 50)
            this.set()
        }
    },
    /** A drag ends in a click that nobody meant; with Shift a press chooses. */
    clicked(event) {
        const piece = event.target.closest('.week-movable')
        if (this.dropped || (piece && (event.shiftKey || event.ctrlKey || event.metaKey))) {
            event.preventDefault()
            event.stopPropagation()
            this.dropped || this.choose(piece)
        }
    },
    pressed(event) {
        const piece = event.target.closest('.week-movable, .no-place a')
        if (!piece) {
            return
        }
        const by = { ArrowUp: -1, ArrowDown: 1, ArrowLeft: -1, ArrowRight: 1 }[event.key]
        const isUpDown = ['ArrowUp', 'ArrowDown'].includes(event.key)
        if (by && isUpDown && event.altKey) {
            this.consume(event)
            const days = this.days()
            const held = this.hold(piece)
            held.day = days[Math.min(days.length - 1, Math.max(0, days.indexOf(held.day) + by))]
            this.show()
        } else if (by && event.shiftKey && !event.altKey) {
            this.consume(event)
            const held = this.hold(piece)
            if (isUpDown) {
                held.at = this.within(held.at + by * STEP, held.minutes)
            } else if (this.isBlock(piece) && !this.together(piece)) {
                held.minutes = Math.max(STEP, held.minutes + by * STEP)
            }
            this.show()
        } else if (event.key === ' ' && this.isBlock(piece) && document.body.dataset.singleKeys !== 'off') {
            this.consume(event)
            this.choose(piece)
        } else if (this.held && event.key === 'Enter') {
            this.consume(event)
            this.set()
        } else if (event.key === 'Escape' && (this.held || this.chosen().length)) {
            this.consume(event)
            this.held ? this.end() : this.chosen().forEach((one) => this.choose(one))
        }
    },
    consume(event) {
        event.preventDefault()
        event.stopPropagation()
    },
    choose(piece) {
        this.ids.delete(piece.id) || this.ids.add(piece.id)
        this.mark()
    },
    again() {
        this.mark()
        this.held && this.show()
    },
    mark() {
        this.week.querySelectorAll('.week-movable').forEach((one) => one.classList.toggle('week-chosen', this.ids.has(one.id)))
        const chosen = this.chosen()
        const minutes = chosen.reduce((sum, one) => sum + Number(one.dataset.minutes), 0)
        this.$root.querySelector('[data-chosen]').textContent = chosen.length ? `${chosen.length} chosen, ${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}: move one and all of them move` : ''
    },
    chosen() {
        return [...this.week.querySelectorAll('.week-movable')].filter((one) => this.ids.has(one.id))
    },
    /** Whether a piece moves with others. */
    together(piece) {
        return this.ids.has(piece.id) && this.chosen().length > 1
    },
    hold(piece) {
        if (this.held?.piece !== piece) {
            this.clear()
            const day = piece.closest('[data-day]')?.dataset.day ?? this.days().find((one) => !this.row(one).matches('.week-past')) ?? this.days()[0]
            const minutes = Number(piece.dataset.minutes)
            this.held = { piece, day, at: this.isBlock(piece) ? Number(piece.dataset.clock) : this.firstOpen(day), minutes: this.isBlock(piece) ? minutes : Math.min(minutes, 120) }
        }
        return this.held
    },
    show() {
        const { piece, day, at, minutes } = this.held
        const row = this.row(day)
        const tape = row.querySelector('.week-tape')
        this.ghost ??= this.made('week-ghost')
        tape.append(this.ghost)
        this.ghost.classList.toggle('week-ghost-deep', piece.matches('.week-deep, .no-place-deep a'))
        this.ghost.style.setProperty('--l', 1000 * (at - this.from()) / this.length())
        this.ghost.style.setProperty('--w', 1000 * minutes / this.length())
        this.ghost.firstElementChild.textContent = `${clock(at)}–${clock((at + minutes) % 1440)}`
        this.week.querySelectorAll('.week-aim').forEach((one) => one !== row && one.classList.remove('week-aim'))
        row.classList.add('week-aim')
        const place = `${day}/${at}/${minutes}`
        if (place !== this.place) {
            this.place = place
            clearTimeout(this.waiting)
            this.waiting = setTimeout(() => this.askPlan(place), REST)
        }
    },
    async askPlan(place) {
        const { address, values } = this.request('try')
        const says = await ask(address, values).catch(() => null)
        if (!says || this.place !== place || !this.held) {
            return
        }
        this.note ??= this.made('week-note')
        this.note.setAttribute('aria-live', 'polite')
        this.note.classList.toggle('week-note-left', this.held.at > this.from() + 0.6 * this.length())
        this.ghost.append(this.note)
        this.note.replaceChildren(...dropLines(says))
        this.$root.querySelectorAll('.week-gives-way').forEach((one) => one.classList.remove('week-gives-way'))
        for (const move of says.moves ?? []) {
            this.week.querySelectorAll(`[data-task="${move.task}"]`).forEach((one) => one !== this.held.piece && one.classList.add('week-gives-way'))
        }
    },
    set() {
        if (!this.held) {
            return
        }
        const { address, values } = this.request('set')
        const { piece } = this.held
        this.end()
        post(address, this.isBlock(piece) && !address.startsWith('/week') ? { ...values, _method: 'PATCH' } : values)
    },
    /** Where it is sent, and what with; to be tried or to be set. */
    request(what) {
        const { piece, day, at, minutes } = this.held
        if (this.together(piece)) {
            const from = piece.closest('[data-day]').dataset.day
            return {
                address: what === 'try' ? '/week/try' : '/week/move',
                values: {
                    blocks: this.chosen().map((one) => `${one.dataset.block}:${one.dataset.mark}`).join(','),
                    days: Math.round((Date.parse(day) - Date.parse(from)) / DAY),
                    minutes: at - Number(piece.dataset.clock),
                },
            }
        }
        const values = { day, start: plain(at), minutes }
        return this.isBlock(piece)
            ? { address: `/blocks/${piece.dataset.block}${what === 'try' ? '/try' : ''}`, values: { ...values, mark: piece.dataset.mark } }
            : { address: `/tasks/${piece.dataset.task}/${what === 'try' ? 'try' : 'place'}`, values: { day, start: values.start } }
    },
    clear() {
        clearTimeout(this.waiting)
        this.place = null
        this.note?.remove()
        this.ghost?.remove()
        this.note = this.ghost = null
        this.$root.querySelectorAll('.week-gives-way, .week-aim').forEach((one) => one.classList.remove('week-gives-way', 'week-aim'))
    },
    end() {
        this.drag = null
        this.held = null
        this.clear()
    },
    made(name) {
        const one = document.createElement('div')
        one.className = name
        one.append(document.createElement('span'))
        return one
    },
    isBlock: (piece) => piece.dataset.block !== undefined,
    step: (minutes) => Math.round(minutes / STEP) * STEP,
    /** On the tape, and on its day. */
    within(at, minutes) {
        return Math.max(0, Math.min(1440 - minutes, this.step(at)))
    },
    days() {
        return [...this.week.querySelectorAll('[data-day]')].map((row) => row.dataset.day)
    },
    row(day) {
        return this.week.querySelector(`[data-day="${day}"]`)
    },
    rowAt(y) {
        return [...this.week.querySelectorAll('[data-day]')].find((row) => {
            const box = row.getBoundingClientRect()
            return y >= box.top && y < box.bottom
        })
    },
    tape: (row) => row.querySelector('.week-tape').getBoundingClientRect(),
    /** Pixels a minute. */
    scale(row) {
        return this.tape(row).width / this.length()
    },
    from() {
        return Number(this.week.dataset.from)
    },
    length() {
        return Number(this.week.dataset.length)
    },
    /** Where the first hours of a day begin, or the present is. */
    firstOpen(day) {
        const row = this.row(day)
        const place = (name) => Number(row.querySelector(name)?.style.getPropertyValue('--l') ?? 0)
        return this.within(this.from() + Math.max(place('.week-open'), place('.week-now')) * this.length() / 1000 + 2, 30)
    },
})
