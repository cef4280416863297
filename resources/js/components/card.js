/**
 * The card of what is being weighed: says at once what it would weigh, and flies to its answer.
 * <form x-data="card" data-preview="…"> … pressure, parts, pull, likely, handOff … </form>
 */
const CORNERS = { do_now: [-480, -260], make_time: [-120, -260], hand_off: [-480, 240], let_go: [-60, 240] }

export default () => ({
    asked: 0,
    async ask() {
        if (this.answered) {
            return
        }
        const turn = ++this.asked
        this.flight = fetch(this.$root.dataset.preview, { method: 'POST', body: new FormData(this.$root), headers: { Accept: 'application/json' } }).catch(() => null)
        const response = await this.flight
        this.flight = null
        if (turn !== this.asked || !response?.ok || !this.$root.isConnected) { // it may be answered by now
            return
        }
        const says = await response.json()
        if (!this.$root.isConnected) {
            return
        }
        this.$refs.pull.textContent = says.pull ?? '–'
        this.$refs.parts.textContent = says.pull === null ? '' : says.parts
        this.$refs.pressure.textContent = says.pressure_words
        this.$refs.likely.textContent = says.likely
        for (const button of this.$root.querySelectorAll('.answer')) {
            button.classList.toggle('answer-likely', button.value === says.answer)
            button.toggleAttribute('data-enter', button.value === (says.answer === 'do_now' ? 'do_now' : 'make_time')) // Enter weighs; it never lets go, and hands nothing off without a name
        }
        const target = document.querySelector('.weigh-field .target')
        if (target) {
            target.style.left = `${100 * says.x}%`
            target.classList.toggle('target-left', says.x > 0.75)
            target.style.top = `${100 * says.y}%`
        }
    },
    /** To hand something off needs a name first. */
    answer(event) {
        const button = event.currentTarget
        const who = this.$root.querySelector('[name=waiting_for]')
        if (button.value === 'hand_off' && who.value.trim() === '') {
            event.preventDefault()
            this.$refs.handOff.open = true
            who.focus()
            who.select()
            return
        }
        this.answered = true
        setTimeout(() => { this.answered = false }, 1000)
        const worth = this.$root.querySelector('[name=importance]:checked') || button.value === 'let_go' || button.value === 'hand_off'
        if (worth && !matchMedia('(prefers-reduced-motion: reduce)').matches) {
            const [x, y] = CORNERS[button.value]
            this.$root.querySelector('.card-title').animate([{ transform: 'none', opacity: 1 }, { transform: `translate(${x}px, ${y}px) scale(.4)`, opacity: 0 }], { duration: 260, easing: 'ease-in' })
        }
    },
    take(event) {
        const field = this.$root.querySelector('[name=estimate]')
        field.value = event.currentTarget.dataset.minutes
        this.ask()
        field.focus()
    },
})
