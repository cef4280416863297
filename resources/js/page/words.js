/**
 * Words of a sentence, each a form of its own: what a change would do is said beneath while it is typed, Enter keeps it,
 * Esc leaves it as it was. <form data-word> … </form> and, beneath, <p data-words>.
 */
const PAUSE = 300

let timer = null

let asked = 0

const FIELDS = 'select, textarea, input:not([type=hidden])'

const field = (form) => form.querySelector(FIELDS)

const was = (input) => (input.tagName === 'SELECT' ? [...input.options].find((option) => option.defaultSelected)?.value ?? input.options[0]?.value : input.defaultValue)

const isChanged = (form) => [...form.querySelectorAll(FIELDS)].some((input) => input.value !== was(input))

const line = (form) => form.closest('[data-sentence]')?.querySelector('[data-words]')

export function listenForWords() {
    document.addEventListener('input', ({ target }) => {
        const form = target.closest?.('form[data-word]')
        if (form) {
            fit(target)
            clearTimeout(timer)
            timer = setTimeout(() => ask(form), PAUSE)
        }
    })
    document.addEventListener('focusin', ({ target }) => {
        const form = target.closest?.('form[data-word]')
        if (form && target.tagName === 'INPUT') {
            target.select()
        }
    })
    document.addEventListener('focusout', ({ target }) => {
        const form = target.closest?.('form[data-word]')
        if (form && !isChanged(form)) {
            say(form, [])
        }
    })
    document.addEventListener('keydown', (event) => {
        const form = event.target.closest?.('form[data-word]')
        if (!form) {
            return
        }
        if (event.key === 'Enter') {
            event.preventDefault()
            isChanged(form) && form.requestSubmit()
        } else if (event.key === 'Escape' && isChanged(form)) {
            event.preventDefault()
            event.stopPropagation()
            for (const input of form.querySelectorAll(FIELDS)) {
                input.value = was(input)
                input.removeAttribute('aria-invalid')
                input.dispatchEvent(new Event('input', { bubbles: true }))
            }
            clearTimeout(timer)
            asked++
            say(form, [])
        }
    }, true)
}

/** A browser that does not size fields by what is in them counts letters. */
function fit(input) {
    if (input.tagName === 'INPUT' && !CSS.supports('field-sizing', 'content')) {
        input.size = Math.max(3, input.value.length)
    }
}

async function ask(form) {
    if (!form.isConnected || !isChanged(form)) {
        say(form, [])
        return
    }
    const turn = ++asked
    const data = new FormData(form)
    data.delete('_method')
    const response = await fetch(`${form.getAttribute('action')}/foresee`, { method: 'POST', body: data, headers: { Accept: 'application/json' } }).catch(() => null)
    if (turn !== asked || !response || !form.isConnected) {
        return
    }
    const answer = await response.json().catch(() => ({}))
    const input = field(form)
    if (response.ok) {
        input.removeAttribute('aria-invalid')
        say(form, answer.words ?? [], answer.change ?? '')
    } else {
        input.setAttribute('aria-invalid', 'true')
        say(form, [Object.values(answer.errors ?? {}).flat()[0] ?? answer.message ?? ''], '', true)
    }
}

function say(form, words, change = '', isWrong = false) {
    const place = line(form)
    if (!place) {
        return
    }
    place.classList.toggle('coral', isWrong)
    place.replaceChildren()
    if (change) {
        place.append(Object.assign(document.createElement('b'), { className: 'over', textContent: change }), ' → ')
    }
    place.append(words.join(' '))
    if (words.length > 0 && !isWrong) {
        for (const [key, does] of [['Enter', 'keep it'], ['Tab', 'the next word'], ['Esc', 'leave it']]) {
            place.append(' ', Object.assign(document.createElement('span'), { className: 'key', textContent: key }), ` ${does}`)
        }
    }
}
