import { account, setToken } from './account.js'
import { note, sendWaiting } from './acts.js'
import { here } from './deliver.js'

/** Signs in without leaving the page: what is typed there stays where it is. */
export async function signInHere() {
    document.getElementById('sign-in-here')?.remove()
    const page = new DOMParser().parseFromString(await (await fetch('/sign-in', { credentials: 'same-origin' })).text(), 'text/html')
    const form = page.querySelector('form[action="/sign-in"], form[method=post]')
    if (!form || !page.querySelector('[name=password]')) { // somebody has signed in meanwhile, in another window
        return follow()
    }
    const dialog = document.createElement('dialog')
    dialog.id = 'sign-in-here'
    dialog.setAttribute('aria-label', 'Sign in')
    const title = document.createElement('h2')
    title.textContent = 'Sign in, and go on here'
    dialog.append(title, document.importNode(form, true))
    document.body.append(dialog)
    const own = dialog.querySelector('form')
    own.addEventListener('submit', async (event) => {
        event.preventDefault()
        event.stopPropagation()
        const response = await fetch(own.action, { method: 'POST', body: new FormData(own), credentials: 'same-origin', headers: { Accept: 'application/json' } })
        if (response.status === 422 || response.status === 429) {
            const said = dialog.querySelector('.error') ?? own.insertBefore(document.createElement('p'), own.firstChild)
            said.className = 'error'
            said.setAttribute('role', 'alert')
            said.textContent = response.status === 429 ? 'Too many tries. Wait a minute, then try again.' : Object.values((await response.json()).errors)[0][0]
            return
        }
        dialog.close()
        dialog.remove()
        follow()
    })
    dialog.addEventListener('close', () => dialog.remove())
    dialog.showModal()
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
