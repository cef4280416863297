import { clock, plain } from '../page/clock.js'

/** Minutes that a drag and a press of an arrow keep to. */
const STEP = 15

/** Milliseconds after the last press before what it would do is asked. */
const PAUSE = 400

/** What opens where a day has nothing: a morning. */
const OPENS = [9 * 60, 12 * 60]

const minutes = (hours, rest) => 60 * Number(hours) + Number(rest ?? 0)

/** What a line says: pairs of minutes. */
function read(line) {
    return [...line.matchAll(/(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|—|to)\s*(\d{1,2})(?:[:.](\d{2}))?/g)]
        .map(([, from, fromRest, to, toRest]) => [minutes(from, fromRest), minutes(to, toRest)])
        .filter(([from, to]) => to > from && to <= 1440)
}

const write = (pairs) => pairs.map(([from, to]) => `${plain(from)}–${plain(to)}`).join(', ')

/** Pairs with one more, or without it; those that touch become one. */
function drawn(pairs, [from, to], isAdded) {
    const cut = pairs.flatMap(([start, end]) => [[start, Math.min(end, from)], [Math.max(start, to), end]]).filter(([start, end]) => end > start)
    return joined(isAdded ? [...cut, [from, to]] : cut)
}

function joined(pairs) {
    return pairs.filter(([from, to]) => to > from).sort((a, b) => a[0] - b[0]).reduce((done, [start, end]) => {
        const last = done.at(-1)
        if (last && last[1] >= start) {
            last[1] = Math.max(last[1], end)
        } else {
            done.push([start, end])
        }
        return done
    }, [])
}

/**
 * Hours as tapes: drawn over closed time they open, over open time they close; ends are dragged, or moved by arrows. What
 * is drawn is written into the lines of the form, which asks the server what it would do.
 */
export default () => ({
    init() {
        const { from, to } = this.$root.dataset
        this.from = Number(from)
        this.to = Number(to)
        this.$root.addEventListener('pointerdown', (event) => event.button === 0 && this.take(event))
        this.$root.addEventListener('keydown', (event) => this.press(event))
        this.$root.addEventListener('click', (event) => event.target.closest('[data-open]') && this.open(event.target.closest('[data-tape]')))
    },

    line: (tape) => document.getElementById(tape.dataset.tape),

    tapes() {
        return [...this.$root.querySelectorAll('[data-tape]')]
    },

    at(tape, x) {
        const box = tape.getBoundingClientRect()
        const at = this.from + ((x - box.left) / box.width) * (this.to - this.from)
        return Math.min(this.to, Math.max(this.from, STEP * Math.round(at / STEP)))
    },

    percent(minute) {
        return (100 * (minute - this.from)) / (this.to - this.from)
    },

    take(event) {
        const tape = event.target.closest('[data-tape]')
        const end = event.target.closest('[data-end]')
        if (!tape || event.target.closest('button')) {
            return
        }
        event.preventDefault()
        end ? this.dragEnd(event, tape, end) : this.draw(event, tape)
    },

    /** Follows a pointer until it is lifted. */
    follow(event, target, move, done) {
        target.setPointerCapture(event.pointerId)
        const stop = (last) => {
            target.removeEventListener('pointermove', move)
            target.removeEventListener('pointerup', stop)
            target.removeEventListener('pointercancel', stop)
            done(last.type === 'pointerup')
        }
        target.addEventListener('pointermove', move)
        target.addEventListener('pointerup', stop)
        target.addEventListener('pointercancel', stop)
    },

    dragEnd(event, tape, end) {
        end.focus()
        const pairs = read(this.line(tape).value)
        const pair = pairs[Number(end.dataset.stretch)]
        const which = end.dataset.end === 'from' ? 0 : 1
        const before = pair?.[which]
        pair && this.follow(event, end, (now) => {
            pair[which] = this.within(pair, which, this.at(tape, now.clientX))
            this.show(tape, end, pair)
        }, (isLifted) => isLifted && pair[which] !== before && this.keep(tape, joined(pairs)))
    },

    draw(event, first) {
        const tapes = this.tapes()
        const before = tapes.map((tape) => read(this.line(tape).value))
        const start = this.at(first, event.clientX)
        const isAdded = !before[tapes.indexOf(first)].some(([from, to]) => from < start && to > start)
        let after = null
        const move = (now) => {
            const end = this.at(first, now.clientX)
            const pair = [Math.min(start, end), Math.max(start, end)]
            const over = tapes.findIndex((tape) => now.clientY < tape.getBoundingClientRect().bottom)
            const ends = [tapes.indexOf(first), over < 0 ? tapes.length - 1 : over].sort((a, b) => a - b)
            const isOver = (i) => i >= ends[0] && i <= ends[1] && pair[1] > pair[0]
            tapes.forEach((tape, i) => {
                const piece = tape.querySelector('.tape-draw')
                piece.style.left = `${this.percent(pair[0])}%`
                piece.style.width = isOver(i) ? `${this.percent(pair[1]) - this.percent(pair[0])}%` : '0'
                piece.dataset.closes = isAdded ? '' : 'yes'
                piece.textContent = isOver(i) && tape === first ? `${clock(pair[0])}–${clock(pair[1])}` : ''
            })
            after = tapes.map((tape, i) => (isOver(i) ? drawn(before[i].map((one) => [...one]), pair, isAdded) : null))
        }
        this.follow(event, first, move, (isLifted) => {
            tapes.forEach((tape) => { tape.querySelector('.tape-draw').style.width = '0' })
            const changed = tapes.filter((tape, i) => after?.[i] && write(after[i]) !== write(before[i]))
            isLifted && changed.forEach((tape) => { this.line(tape).value = write(after[tapes.indexOf(tape)]) })
            isLifted && changed.length && this.ask(this.line(changed[0]))
        })
    },

    open(tape) {
        this.keep(tape, drawn(read(this.line(tape).value), OPENS, true))
    },

    press(event) {
        const end = event.target.closest?.('[data-end]')
        if (!end || event.altKey || event.ctrlKey || event.metaKey) {
            return
        }
        const tape = end.closest('[data-tape]')
        const pairs = read(this.line(tape).value)
        const pair = pairs[Number(end.dataset.stretch)]
        const which = end.dataset.end === 'from' ? 0 : 1
        const far = which === 0 ? [0, pair?.[1] - STEP] : [pair?.[0] + STEP, 1440]
        const by = { ArrowLeft: -STEP, ArrowDown: -STEP, ArrowRight: STEP, ArrowUp: STEP, PageDown: -60, PageUp: 60, Home: far[0] - pair?.[which], End: far[1] - pair?.[which] }[event.key]
        if (event.key === 'Enter') {
            event.preventDefault()
            this.$root.querySelector('.consequence button[name=take]')?.click()
        } else if (pair && (event.key === 'Delete' || event.key === 'Backspace')) {
            event.preventDefault()
            event.stopPropagation()
            this.keep(tape, pairs.filter((one) => one !== pair))
        } else if (pair && by !== undefined) {
            event.preventDefault()
            event.stopPropagation()
            pair[which] = this.within(pair, which, pair[which] + by)
            this.show(tape, end, pair)
            this.line(tape).value = write(pairs)
            clearTimeout(this.waits)
            this.waits = setTimeout(() => this.keep(tape, joined(read(this.line(tape).value))), PAUSE)
        }
    },

    /** An end stays on its side of the other, and within the day. */
    within: (pair, which, minute) => (which === 0 ? Math.max(0, Math.min(pair[1] - STEP, minute)) : Math.min(1440, Math.max(pair[0] + STEP, minute))),

    show(tape, end, pair) {
        const which = end.dataset.end === 'from' ? 0 : 1
        end.style.left = `${this.percent(pair[which])}%`
        end.setAttribute('aria-valuenow', pair[which])
        end.setAttribute('aria-valuetext', clock(pair[which]))
        end.firstElementChild.textContent = clock(pair[which])
        end.classList.add('tape-end-new')
        const open = tape.querySelectorAll('.tape-open')[Number(end.dataset.stretch)]
        if (open) {
            open.style.left = `${this.percent(pair[0])}%`
            open.style.width = `${this.percent(pair[1]) - this.percent(pair[0])}%`
        }
    },

    keep(tape, pairs) {
        this.line(tape).value = write(pairs)
        this.ask(this.line(tape))
    },

    /** Whoever keeps what is typed keeps this too, and the form is sent. */
    ask(line) {
        line.dispatchEvent(new Event('input', { bubbles: true }))
        line.dispatchEvent(new Event('change', { bubbles: true }))
    },
})
