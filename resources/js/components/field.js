import { post } from '../page/forms.js'

/**
 * Moving marks of the field: to the side it is the due date, up and down the importance. Dropping on a corner gives that
 * answer. <div x-data="field" data-axis="{…}"> … field, marks with data-mark … </div>
 */
const DAY = 86_400_000

export default () => ({
    init() {
        this.axis = JSON.parse(this.$root.dataset.axis)
        this.down = (event) => this.start(event)
        this.move = (event) => this.follow(event)
        this.up = (event) => this.drop(event)
        this.click = (event) => this.swallow(event)
        this.key = (event) => this.nudge(event)
        this.$root.addEventListener('pointerdown', this.down)
        this.$root.addEventListener('click', this.click, true)
        this.$root.addEventListener('keydown', this.key)
        this.$root.addEventListener('dragstart', (event) => event.preventDefault())
        document.addEventListener('pointermove', this.move)
        document.addEventListener('pointerup', this.up)
    },
    destroy() {
        document.removeEventListener('pointermove', this.move)
        document.removeEventListener('pointerup', this.up)
    },
    start(event) {
        const mark = event.target.closest('[data-mark]')
        if (mark && event.button === 0) {
            this.held = { mark, x: event.clientX, y: event.clientY, live: false }
        }
    },
    follow(event) {
        const held = this.held
        if (!held || (!held.live && Math.hypot(event.clientX - held.x, event.clientY - held.y) < 5)) {
            return
        }
        held.live = true
        event.preventDefault()
        held.mark.classList.add('mark-held')
        held.mark.style.transform = `translate(${event.clientX - held.x}px, ${event.clientY - held.y}px)`
        this.say(this.place(event))
        document.querySelectorAll('.corner').forEach((corner) => corner.classList.toggle('corner-over', this.isOver(corner, event)))
    },
    drop(event) {
        const held = this.held
        this.held = null
        if (!held?.live) {
            return
        }
        this.dropped = true
        setTimeout(() => { this.dropped = false }, 50)
        this.note?.remove()
        this.note = null
        const corner = [...document.querySelectorAll('.corner')].find((one) => this.isOver(one, event))
        const to = this.place(event)
        held.mark.classList.remove('mark-held')
        const back = () => { held.mark.style.transform = '' }
        if (corner) {
            const answer = corner.dataset.answer
            if (answer === 'hand_off') {
                back()
                held.mark.click()
                return
            }
            post(`/weigh/${held.mark.dataset.mark}`, { answer, importance: held.mark.dataset.importance, ...(held.mark.dataset.due ? { due_date: held.mark.dataset.due } : {}) }).then(back)
        } else if (to.inside) {
            this.set(held.mark, to.due, to.importance).then(back)
        } else {
            back()
        }
    },
    swallow(event) {
        if (this.dropped) {
            event.preventDefault()
            event.stopPropagation()
        }
    },
    /** On a mark: 1 to 4, Shift and an arrow for a day earlier or later, or a step of importance. */
    nudge(event) {
        const mark = event.target.closest('[data-mark]')
        if (!mark || event.ctrlKey || event.metaKey || event.altKey) {
            return
        }
        const worth = Number(mark.dataset.importance)
        const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key]
        if (/^[1-4]$/.test(event.key) && document.body.dataset.singleKeys !== 'off') {
            event.preventDefault()
            event.stopPropagation()
            this.set(mark, undefined, Number(event.key))
        } else if (by && event.shiftKey) {
            event.preventDefault()
            event.stopPropagation()
            if (by[0]) {
                const from = mark.dataset.due ? this.number(mark.dataset.due) : this.axis.today.first + (by[0] < 0 ? 1 : 0)
                this.set(mark, this.date(Math.max(this.axis.today.first, from + by[0])), worth)
            } else {
                this.set(mark, undefined, Math.max(1, Math.min(4, worth + by[1])))
            }
        }
    },
    set(mark, due, importance) {
        const values = { _method: 'PATCH', importance, back: location.href }
        if (due !== undefined && due !== mark.dataset.due) {
            Object.assign(values, { due_date: due, due_time: '' })
        }
        return post(`/tasks/${mark.dataset.mark}`, values)
    },
    place(event) {
        const box = this.$refs.field.getBoundingClientRect()
        const x = (event.clientX - box.left) / box.width
        const y = (event.clientY - box.top) / box.height
        const inside = x >= 0 && x <= 1 && y >= 0 && y <= 1
        const importance = Math.max(1, Math.min(4, 4 - Math.floor(y * 4)))
        const [name, part] = Object.entries(this.axis).find(([, one]) => x >= one.from && x < one.to) ?? ['later', this.axis.later]
        if (name === 'none') {
            return { inside, importance, due: '', words: 'no date' }
        }
        if (name === 'late') {
            return { inside, importance, due: undefined, words: 'its date stays' }
        }
        const day = part.first + Math.min(part.days - 1, Math.floor(((x - part.from) / (part.to - part.from)) * part.days))
        return { inside, importance, due: this.date(day), words: `due ${new Date(day * DAY).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })}` }
    },
    say(to) {
        if (!this.note) {
            this.note = document.createElement('div')
            this.note.className = 'field-says'
            this.note.setAttribute('role', 'status')
            this.$refs.field.append(this.note)
        }
        this.note.textContent = to.inside ? `${['', 'low', 'medium', 'high', 'vital'][to.importance]}, ${to.words}` : 'back where it was'
    },
    isOver(corner, event) {
        const box = corner.getBoundingClientRect()
        return event.clientX >= box.left && event.clientX <= box.right && event.clientY >= box.top && event.clientY <= box.bottom
    },
    date(number) {
        return new Date(number * DAY).toISOString().slice(0, 10)
    },
    number(date) {
        return Math.round(Date.parse(`${date}T00:00:00Z`) / DAY)
    },
})
