/** A typed day is said back as it was understood, as soon as its field is left. */
export function listenForDays() {
    document.addEventListener('change', ({ target }) => target.matches?.('[data-typed-day]') && understand(target))
}

async function understand(field) {
    const text = field.value.trim()
    field.removeAttribute('aria-invalid')
    field.removeAttribute('title')
    if (text === '') {
        return
    }
    try {
        const answer = await fetch(`/typed-day?${new URLSearchParams({ text })}`, { headers: { Accept: 'application/json' } })
        const { said, problem } = answer.ok ? await answer.json() : {}
        if (field.isConnected && field.value.trim() === text) {
            said && (field.value = said)
            problem && (field.setAttribute('aria-invalid', 'true'), field.setAttribute('title', problem))
        }
    } catch {
        // away from the network it is looked at once it is sent
    }
}
