import { dropLines } from './dropLines.js'

/** After so many milliseconds of rest the plan is asked what the drop would do. */
const REST = 120

/**
 * What a drop would do, while it is in the air: at once what lies under it and what the gauge would say; a moment later
 * the plan's own answer, what gives way and where it goes.
 */
export default class Preview {
    constructor(root, sheet, tryIt) {
        this.root = root
        this.sheet = sheet
        this.tryIt = tryIt
    }

    show(piece, at, minutes) {
        const place = `${piece.id}/${at}/${minutes}`
        if (place === this.place) {
            return
        }
        this.place = place
        clearTimeout(this.waiting)
        this.markOverlapped(piece, at, minutes)
        this.guessGauge(piece, minutes)
        this.waiting = setTimeout(() => this.askPlan(piece, at, minutes, place), REST)
    }

    clear() {
        clearTimeout(this.waiting)
        this.place = null
        this.note?.remove()
        this.note = null
        this.sheet.querySelectorAll('.gives-way, .in-the-way').forEach((one) => one.classList.remove('gives-way', 'in-the-way'))
        if (this.gauge) {
            document.getElementById('gauge-column')?.replaceWith(this.gauge)
            this.gauge = null
        }
        if (this.sum) {
            document.getElementById('gauge-sum')?.replaceWith(this.sum)
            this.sum = null
        }
        document.querySelector('.gauge-guess')?.remove()
    }

    markOverlapped(piece, at, minutes) {
        const from = Number(this.root.dataset.from) + at
        for (const block of this.sheet.querySelectorAll('a[data-start]')) {
            const start = Number(block.dataset.start)
            const overlaps = block !== piece && !block.dataset.reserve && start < from + minutes && start + Number(block.dataset.minutes) > from
            const stays = block.dataset.fixed === '1'
            block.classList.toggle('gives-way', overlaps && !stays)
            block.classList.toggle('in-the-way', overlaps && stays)
        }
    }

    /** Longer, or new on the day: so many minutes more. */
    guessGauge(piece, minutes) {
        const gauge = document.getElementById('gauge-column')
        const more = piece.dataset.block === undefined ? minutes : piece.dataset.reserve ? 0 : minutes - Number(piece.dataset.minutes)
        document.querySelector('.gauge-guess')?.remove()
        if (!gauge || more <= 0 || this.gauge) {
            return
        }
        const scale = Number(gauge.dataset.scale)
        const guess = document.createElement('i')
        guess.className = 'gauge-guess'
        guess.style.bottom = `${Number(gauge.dataset.planned) * scale}px`
        guess.style.height = `${Math.min(more * scale, gauge.offsetHeight - Number(gauge.dataset.planned) * scale)}px`
        gauge.append(guess)
    }

    async askPlan(piece, at, minutes, place) {
        const says = await this.tryIt(piece, at, minutes).catch(() => null)
        if (!says || this.place !== place) {
            return
        }
        if (!this.note?.isConnected) {
            this.note = document.createElement('div')
            this.note.className = 'drop-note'
            this.note.setAttribute('aria-live', 'polite')
            this.sheet.append(this.note)
        }
        this.note.style.top = `${at * Number(this.root.dataset.scale)}px`
        this.note.replaceChildren(...dropLines(says))
        this.sheet.querySelectorAll('.gives-way').forEach((one) => one.classList.remove('gives-way'))
        for (const move of says.moves ?? []) {
            this.sheet.querySelectorAll(`a[data-task="${move.task}"]`).forEach((one) => one !== piece && one.classList.add('gives-way'))
        }
        if (says.gauge) {
            this.put(says)
        }
    }

    put(says) {
        const column = document.getElementById('gauge-column')
        const sum = document.getElementById('gauge-sum')
        if (!column || !sum) {
            return
        }
        this.gauge ??= column.cloneNode(true)
        this.sum ??= sum.cloneNode(true)
        this.gauge.querySelector('.gauge-guess')?.remove()
        column.replaceWith(new DOMParser().parseFromString(says.gauge, 'text/html').getElementById('gauge-column'))
        sum.textContent = `${says.sum} of ${says.line}`
        sum.classList.toggle('coral', says.over)
        sum.classList.add('would-be')
    }
}
