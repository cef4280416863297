/** The week is drawn from 06:00 to 22:00; what lies outside is only in the lines. */
const FIRST = 6 * 60
const LAST = 22 * 60

/** Minutes that a drag keeps to. */
const STEP = 30

const minutes = (hours, rest) => 60 * Number(hours) + Number(rest ?? 0)

const clock = (at) => `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`

/** What a line says, as far as it can be read: pairs of minutes. */
function read(line) {
    return [...line.matchAll(/(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|—|to)\s*(\d{1,2})(?:[:.](\d{2}))?/g)]
        .map(([, from, fromRest, to, toRest]) => [minutes(from, fromRest), minutes(to, toRest)])
        .filter(([from, to]) => to > from && to <= 1440)
}

/** Pairs with one more, or without it; those that touch become one. */
function drawn(pairs, [from, to], isAdded) {
    const cut = pairs.flatMap(([start, end]) => [[start, Math.min(end, from)], [Math.max(start, to), end]]).filter(([start, end]) => end > start)
    const all = (isAdded ? [...cut, [from, to]] : cut).sort((a, b) => a[0] - b[0])
    return all.reduce((done, [start, end]) => {
        const last = done.at(-1)
        if (last && last[1] >= start) {
            last[1] = Math.max(last[1], end)
        } else {
            done.push([start, end])
        }
        return done
    }, [])
}

const write = (pairs) => pairs.map(([from, to]) => `${clock(from)}–${clock(to)}`).join(', ')

/** Draws the lines of the best hours, and lets a pointer draw them: over free time it adds, over best hours it takes away. */
export default () => ({
    init() {
        const rows = [...this.$root.querySelectorAll('[data-best]')].map((strip) => ({ strip, line: document.getElementById(strip.dataset.best) }))
        const show = ({ strip, line }, pairs = read(line.value)) => {
            strip.querySelector('g').replaceChildren(...pairs.map(([from, to]) => {
                const rect = document.createElementNS('http://www.w3.org/2000/svg', 'rect')
                rect.setAttribute('x', Math.max(FIRST, from) - FIRST)
                rect.setAttribute('width', Math.max(0, Math.min(LAST, to) - Math.max(FIRST, from)))
                rect.setAttribute('y', 3)
                rect.setAttribute('height', 18)
                return rect
            }))
        }
        document.addEventListener('nekto:shown', () => this.$root.isConnected && rows.forEach((row) => show(row)))
        for (const row of rows) {
            row.line.addEventListener('input', () => show(row))
            row.strip.addEventListener('pointerdown', (event) => event.button === 0 && this.draw(event, rows, row, show))
        }
    },

    draw(event, rows, first, show) {
        const at = ({ clientX }) => {
            const box = first.strip.getBoundingClientRect()
            return Math.min(LAST - STEP, Math.max(FIRST, FIRST + STEP * Math.floor(((clientX - box.left) / box.width) * (LAST - FIRST) / STEP)))
        }
        const before = rows.map(({ line }) => read(line.value))
        const start = at(event)
        const isAdded = !before[rows.indexOf(first)].some(([from, to]) => from <= start && to > start)
        const move = (now) => {
            const pair = [Math.min(start, at(now)), Math.max(start, at(now)) + STEP]
            const over = rows.findIndex(({ strip }) => now.clientY < strip.getBoundingClientRect().bottom)
            const ends = [rows.indexOf(first), over < 0 ? rows.length - 1 : over].sort((a, b) => a - b)
            rows.forEach((row, i) => {
                const pairs = i >= ends[0] && i <= ends[1] ? drawn(before[i].map((one) => [...one]), pair, isAdded) : before[i]
                row.line.value = write(pairs)
                show(row, pairs)
            })
        }
        event.preventDefault()
        first.strip.setPointerCapture(event.pointerId)
        first.strip.addEventListener('pointermove', move)
        const end = () => {
            first.strip.removeEventListener('pointermove', move)
            first.line.dispatchEvent(new Event('change', { bubbles: true })) // whoever keeps what is typed keeps this too
        }
        first.strip.addEventListener('pointerup', end, { once: true })
        first.strip.addEventListener('pointercancel', end, { once: true })
        move(event)
    },
})
