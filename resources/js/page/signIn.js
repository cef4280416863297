import { account, setToken } from './account.js'
import { note, sendWaiting } from './acts.js'
import { here } from './deliver.js'

/** Signs in without leaving the page: what is typed there stays where it is. */
export async function signInHere() {
    document.getElementById('sign-in-here')?.remove()
    const form = await formOf('/sign-in')
    if (!form) { // somebody has signed in meanwhile, in another window
        return follow()
    }
    const dialog = document.createElement('dialog')
    dialog.id = 'sign-in-here'
    dialog.setAttribute('aria-label', 'Sign in')
    const title = document.createElement('h2')
    title.textContent = 'Sign in, and go on here'
    dialog.append(title)
    ask(dialog, form)
    document.body.append(dialog)
    dialog.addEventListener('close', () => dialog.remove())
    dialog.showModal()
}

/** A form of the doors, taken out of its page; null if that page has none for somebody who is signed in. */
async function formOf(address) {
    const page = new DOMParser().parseFromString(await (await fetch(address, { credentials: 'same-origin' })).text(), 'text/html')
    const form = page.querySelector('.door form')
    return form?.querySelector('[name=password], [name=code]') ? form : null
}

/** Lays a form into the dialog; where the password is not all, the next one follows. */
function ask(dialog, form) {
    dialog.querySelector('form')?.remove()
    const own = document.importNode(form, true)
    dialog.append(own)
    own.querySelector('[autofocus]')?.focus()
    own.addEventListener('submit', async (event) => {
        event.preventDefault()
        event.stopPropagation()
        const response = await fetch(own.action, { method: 'POST', body: new FormData(own), credentials: 'same-origin', headers: { Accept: 'application/json' } })
        if (response.status === 422 || response.status === 429) {
            const said = own.querySelector('.error') ?? own.insertBefore(document.createElement('p'), own.firstChild)
            said.className = 'error'
            said.setAttribute('role', 'alert')
            said.textContent = response.status === 429 ? 'Too many tries. Wait a minute, then try again.' : Object.values((await response.json()).errors)[0][0]
            return
        }
        const next = response.redirected ? null : (await response.json().catch(() => ({}))).next
        const following = next ? await formOf(next) : null
        if (following) {
            return ask(dialog, following)
        }
        dialog.close()
        follow()
    })
}

async function follow() {
    const now = await here()
    if (now.account === account()) {
        setToken(now.token)
        note('here')
        await sendWaiting()
        document.dispatchEvent(new CustomEvent('nekto:refresh'))
    } else if (now.account) {
        location.assign('/shape') // it is somebody else's page now; what was typed here is kept for its owner
    }
}
