/** What was said last: it stays eight seconds, and while it is hovered or focused. <div x-data="toast">…</div> */
export default () => ({
    held: false,
    init() {
        this.hold = () => { this.held = true }
        this.let = () => { this.held = this.$root.matches(':hover, :focus-within') }
        this.$root.addEventListener('pointerenter', this.hold)
        this.$root.addEventListener('focusin', this.hold)
        this.$root.addEventListener('pointerleave', this.let)
        this.$root.addEventListener('focusout', this.let)
        this.left = 8
        this.timer = setInterval(() => {
            this.left -= this.held ? 0 : 1
            if (this.left <= 0) {
                this.close()
            }
        }, 1000)
    },
    destroy() {
        clearInterval(this.timer)
    },
    close() {
        this.$root.remove()
    },
})
