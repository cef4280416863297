/**
 * Writes what is understood beneath the words while they are typed. Each gloss can be reached by Tab and refused by Esc
 * or a press: its words stay plain words then; where they may mean something else, that is offered beside it. The reading
 * itself is the server's.
 * <section x-data="entry"> … form, text, glosses, refused … </section>
 */
export default () => ({
    summary: '',
    keep: 'Keep',
    refused: [],
    asked: 0,
    proposedFor: '',
    init() {
        this.typed()
    },
    destroy() {
        clearTimeout(this.timer)
    },
    typed() {
        const text = this.$refs.text.value
        if (text.trim() === '') {
            this.refused = []
        }
        if (!text.startsWith(this.proposedFor.slice(0, 5))) { // another line: what was seen was of the last one
            this.propose([])
        }
        this.draw([])
        clearTimeout(this.timer)
        this.timer = setTimeout(() => this.ask(), 120)
    },
    key(event) {
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey || ('enterSends' in this.$refs.text.dataset && !event.shiftKey && !event.isComposing && this.$refs.text.value.trim() !== ''))) {
            event.preventDefault()
            this.$refs.form.requestSubmit()
        } else if (event.key === 'Enter' && !event.shiftKey && !this.$refs.text.value.includes('\n') && event.target.value.trim() === '') {
            event.preventDefault()
        }
    },
    async ask() {
        const text = this.$refs.text.value
        this.$refs.refused.value = this.refused.join('\n')
        if (text.trim() === '') {
            this.summary = ''
            this.draw([])
            this.propose([])
            return
        }
        const turn = ++this.asked
        const data = new FormData(this.$refs.form)
        this.flight = fetch('/gather/understand', { method: 'POST', body: data, headers: { Accept: 'application/json' } }).catch(() => null)
        const response = await this.flight
        this.flight = null
        if (turn !== this.asked || !response) {
            return
        }
        const answer = await response.json()
        if (!response.ok) {
            this.summary = answer.message ?? ''
            return
        }
        this.summary = answer.summary
        this.keep = answer.lines.length > 1 ? `Keep all ${answer.lines.length}` : 'Keep'
        this.draw([...answer.lines, ...answer.subtasks])
        this.propose(answer.lines.flatMap((line) => line.parts.filter((part) => part.learned).map((part) => `${line.line}:${part.learned}`)))
    },
    /** Only what was seen is taken with the line. */
    propose(seen) {
        const form = this.$refs.form
        const field = form.elements.proposed ?? form.appendChild(Object.assign(document.createElement('input'), { type: 'hidden', name: 'proposed' }))
        field.value = seen.join('\n')
        this.proposedFor = seen.length === 0 ? '' : this.$refs.text.value
    },
    /** A line comes with its number; list marks and blanks before it are not in its text, which stands in the field as it is. */
    draw(lines) {
        const layer = this.$refs.glosses
        const focused = document.activeElement?.dataset?.part
        layer.replaceChildren()
        const byNumber = new Map(lines.map((line) => [line.line, line]))
        this.$refs.text.value.split('\n').forEach((raw, i) => {
            const line = byNumber.get(i + 1)
            const characters = [...raw]
            const offset = line ? [...raw.slice(0, Math.max(0, raw.indexOf(line.text)))].length : 0
            let at = 0
            for (const part of (line?.parts ?? []).filter((part) => !part.learned)) {
                const from = offset + part.start
                layer.append(characters.slice(at, from).join(''), this.bracket(characters.slice(from, from + part.length).join(''), part, i + 1, from))
                at = from + part.length
            }
            layer.append(characters.slice(at).join('') + '\n')
        })
        this.apart()
        this.drawLearned(lines)
        if (focused) {
            this.$root.querySelector(`[data-part="${CSS.escape(focused)}"]`)?.focus()
        }
    },
    /** What no word says, but similar lines got before, in a row of its own: of which line, if there are several. */
    drawLearned(lines) {
        const row = this.$refs.learned ?? this.$refs.glosses.appendChild(Object.assign(document.createElement('div'), { className: 'learned' }))
        row.replaceChildren()
        for (const line of lines) {
            const parts = (line.parts ?? []).filter((part) => part.learned)
            if (parts.length > 0 && lines.length > 1) {
                row.append(Object.assign(document.createElement('span'), { className: 'learned-line soft', textContent: line.title }))
            }
            row.append(...parts.map((part) => this.gloss(part, line.line, `${part.kind} ~`, part.why)))
        }
    },
    /** Glosses of one line that would run into each other move on to the right. */
    apart() {
        let former = null
        for (const gloss of this.$refs.glosses.querySelectorAll('.gloss-place')) {
            const box = gloss.getBoundingClientRect()
            const over = former && Math.abs(former.top - box.top) < 4 ? former.right + 6 - box.left : 0
            const edge = this.$refs.glosses.getBoundingClientRect().right - 8
            const move = Math.max(0, over) - Math.max(0, box.right + Math.max(0, over) - edge) // but not out of sight
            if (move > 0 || (move < 0 && over <= 0)) {
                gloss.style.marginLeft = `${move}px`
            }
            former = { top: box.top, right: box.right + Math.max(0, over) }
        }
    },
    bracket(words, part, line, at) {
        const span = document.createElement('span')
        span.className = part.problem ? 'understood understood-problem' : 'understood'
        span.textContent = words
        const gloss = this.gloss(part, line, `${part.kind} ${words.trim().toLowerCase()}`, 'Press or Esc: take it as plain words')
        if (part.kind === 'subtask') { // where it stands says so, not a word of it
            gloss.disabled = true
            gloss.title = ''
        }
        const place = document.createElement('span')
        place.className = 'gloss-place' + (part.problem ? ' gloss-problem' : '') + (at < 12 ? ' gloss-edge' : '')
        place.append(gloss)
        if (part.instead) {
            place.append(this.choice(words, part.instead, line, at))
        }
        span.append(place)
        return span
    },
    /** What is understood, in words: pressed, or left by Esc, it is not taken. */
    gloss(part, line, refusal, title) {
        const gloss = document.createElement('button')
        gloss.type = 'button'
        gloss.className = 'gloss'
        gloss.textContent = part.gloss
        gloss.dataset.part = `${line}:${refusal}`
        gloss.title = title
        const refuse = () => {
            this.refused.push(gloss.dataset.part)
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
        return gloss
    },
    /** The other meaning that words may have: pressed, they are written so that only that one is left. */
    choice(words, instead, line, at) {
        const other = document.createElement('button')
        other.type = 'button'
        other.className = 'gloss gloss-instead'
        other.textContent = `or ${instead}`
        other.title = `Write “${instead}” instead`
        other.addEventListener('click', () => {
            const lines = this.$refs.text.value.split('\n')
            const characters = [...lines[line - 1]]
            characters.splice(at, [...words].length, instead)
            lines[line - 1] = characters.join('')
            this.$refs.text.value = lines.join('\n')
            this.$refs.text.dispatchEvent(new Event('input', { bubbles: true }))
            this.$refs.text.focus()
        })
        return other
    },
})
