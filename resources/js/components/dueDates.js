import { visit } from '../page/exchange.js'

const DAY = 86_400_000

/**
 * A due date is dragged along the days, or sent a day earlier or later by keys from its row; both curves are drawn as they
 * would be, and nothing is taken before it is said so.
 * <figure x-data="dueDates" data-address> with <i data-task> for dates and <span data-day> for days
 */
export default () => ({
    init() {
        this.on = { pointermove: (event) => this.follow(event), pointerup: (event) => this.drop(event), pointercancel: () => this.end(), keydown: (event) => this.nudge(event) }
        Object.entries(this.on).forEach(([name, listener]) => document.addEventListener(name, listener))
        this.$root.addEventListener('pointerdown', (event) => {
            const node = event.button === 0 && event.target.closest('[data-task]')
            if (node) {
                event.preventDefault()
                this.drag = { node, x: event.clientX, live: false }
            }
        })
    },
    destroy() {
        Object.entries(this.on).forEach(([name, listener]) => document.removeEventListener(name, listener))
        this.end()
    },
    follow(event) {
        if (!this.drag || (!this.drag.live && Math.abs(event.clientX - this.drag.x) < 5)) {
            return
        }
        this.drag.live = true
        this.drag.day = this.dayAt(event.clientX)
        if (!this.guide?.isConnected) {
            this.guide = document.createElement('span')
            this.guide.className = 'curves-guide'
            this.guide.append(document.createElement('b'))
            this.$root.querySelector('.curves-field').append(this.guide)
        }
        const day = this.drag.day
        this.guide.style.setProperty('--l', Number(day.style.getPropertyValue('--l')) + Number(day.style.getPropertyValue('--w')))
        this.guide.firstElementChild.textContent = `due ${day.title}`
    },
    drop() {
        const drag = this.drag
        this.end()
        drag?.live && this.ask(drag.node.dataset.task, drag.day.dataset.day)
    },
    end() {
        this.drag = null
        this.guide?.remove()
    },
    nudge(event) {
        const row = event.target.closest?.('tr[data-task], #due-tried')
        const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
        if (!row || !by || !event.shiftKey || event.altKey || event.ctrlKey) {
            return
        }
        event.preventDefault()
        event.stopPropagation()
        const tried = document.querySelector('#due-tried')
        const from = tried?.dataset.task === row.dataset.task ? tried.dataset.day : row.dataset.day
        this.ask(row.dataset.task, new Date(Date.parse(from) + by * DAY).toISOString().slice(0, 10))
    },
    ask(task, day) {
        const address = this.$root.dataset.address
        visit(`${address}${address.includes('?') ? '&' : '?'}task=${task}&due=${day}`)
    },
    dayAt(x) {
        const days = [...this.$root.querySelectorAll('.curves-day')]
        return days.find((one) => x < one.getBoundingClientRect().right) ?? days.at(-1)
    },
})
