/**
 * The week in one run: arrows choose the day within a row (they are radios), Enter goes on to the next row, W lets it wait.
 * <form x-data="weekPlan"> with a <fieldset> for each task
 */
export default () => ({
    init() {
        this.$root.addEventListener('keydown', (event) => this.pressed(event), true)
        document.activeElement === document.body && this.$root.querySelector('fieldset input:checked')?.focus({ preventScroll: true })
    },
    pressed(event) {
        const row = event.target.closest('fieldset')
        if (!row || event.ctrlKey || event.metaKey || event.altKey) {
            return
        }
        if (event.key === 'Enter' || ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && event.target.matches('[type=radio]'))) {
            event.preventDefault()
            event.stopPropagation()
            const rows = [...this.$root.querySelectorAll('fieldset')]
            const next = rows[rows.indexOf(row) + (event.key === 'ArrowUp' ? -1 : 1)]
            ;(next?.querySelector('input:checked') ?? this.$root.querySelector('[data-page-key="l"]'))?.focus()
        } else if (event.key === 'w' && document.body.dataset.singleKeys !== 'off') {
            event.preventDefault()
            event.stopPropagation()
            row.querySelector('[data-wait]').click()
        }
    },
})
