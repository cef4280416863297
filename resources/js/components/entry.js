/**
 * Writes what is understood beneath the words while they are typed. Each gloss can be reached by Tab and refused by Esc
 * or a press: its words stay plain words then. The reading itself is the server's.
 * <section x-data="entry"> … form, text, glosses, refused … </section>
 */
export default () => ({
    summary: '',
    refused: [],
    asked: 0,
    init() {
        this.typed()
    },
    destroy() {
        clearTimeout(this.timer)
    },
    typed() {
        if (this.$refs.text.value.trim() === '') {
            this.refused = []
        }
        this.draw([])
        clearTimeout(this.timer)
        this.timer = setTimeout(() => this.ask(), 120)
    },
    key(event) {
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault()
            this.$refs.form.requestSubmit()
        } else if (event.key === 'Enter' && !event.shiftKey && !this.$refs.text.value.includes('\n') && event.target.value.trim() === '') {
            event.preventDefault()
        }
    },
    async ask() {
        const text = this.$refs.text.value
        this.$refs.refused.value = this.refused.join(' ')
        if (text.trim() === '') {
            this.summary = ''
            this.draw([])
            return
        }
        const turn = ++this.asked
        const data = new FormData(this.$refs.form)
        const response = await fetch('/gather/understand', { method: 'POST', body: data, headers: { Accept: 'application/json' } }).catch(() => null)
        if (turn !== this.asked || !response) {
            return
        }
        const answer = await response.json()
        if (!response.ok) {
            this.summary = answer.message ?? ''
            return
        }
        this.summary = answer.lines.length === 1 ? '1 task' : `${answer.lines.length} tasks`
        this.draw(answer.lines)
    },
    /** Lines come without empty ones and with single spaces; a part is drawn where its words stand in the field. */
    draw(lines) {
        const layer = this.$refs.glosses
        const focused = document.activeElement?.dataset?.part
        layer.replaceChildren()
        let index = -1
        for (const raw of this.$refs.text.value.split('\n')) {
            const line = raw.trim() === '' ? null : lines[++index]
            let at = 0
            for (const part of line?.parts ?? []) {
                const words = [...line.text].slice(part.start, part.start + part.length).join('')
                const found = raw.replaceAll(/\s/g, ' ').indexOf(words, at)
                if (found < 0) {
                    continue
                }
                layer.append(raw.slice(at, found), this.bracket(raw.slice(found, found + words.length), part, index, found))
                at = found + words.length
            }
            layer.append(raw.slice(at) + '\n')
        }
        this.apart()
        if (focused) {
            layer.querySelector(`[data-part="${focused}"]`)?.focus()
        }
    },
    /** Glosses of one line that would run into each other move on to the right. */
    apart() {
        let former = null
        for (const gloss of this.$refs.glosses.querySelectorAll('.gloss')) {
            const box = gloss.getBoundingClientRect()
            const over = former && Math.abs(former.top - box.top) < 4 ? former.right + 6 - box.left : 0
            if (over > 0) {
                gloss.style.marginLeft = `${over}px`
            }
            former = { top: box.top, right: box.right + Math.max(0, over) }
        }
    },
    bracket(words, part, line, at) {
        const span = document.createElement('span')
        span.className = part.problem ? 'understood understood-problem' : 'understood'
        span.textContent = words
        const gloss = document.createElement('button')
        gloss.type = 'button'
        gloss.className = 'gloss' + (part.problem ? ' gloss-problem' : '') + (at < 12 ? ' gloss-edge' : '')
        gloss.textContent = part.gloss
        gloss.dataset.part = `${line}:${part.kind}`
        gloss.title = 'Press or Esc: take it as plain words'
        const refuse = () => {
            this.refused.push(`${line}:${part.kind}`)
            this.$refs.text.focus()
            this.ask()
        }
        gloss.addEventListener('click', refuse)
        gloss.addEventListener('keydown', (event) => {
            if (event.key === 'Escape') {
                event.preventDefault()
                refuse()
            }
        })
        span.append(gloss)
        return span
    },
})
