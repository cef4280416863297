import Alpine from '@alpinejs/csp'
import card from './components/card.js'
import dueDates from './components/dueDates.js'
import entry from './components/entry.js'
import field from './components/field.js'
import runSheet from './components/runSheet.js'
import tapes from './components/tapes.js'
import weekPlan from './components/weekPlan.js'
import weekTapes from './components/weekTapes.js'
import { listenForKeys } from './keys.js'
import { readClock } from './page/account.js'
import { listenForNetwork } from './page/acts.js'
import { drawCode } from './page/code.js'
import { listenForPages, offer, refresh } from './page/exchange.js'
import { listenForDays } from './page/days.js'
import { listenForForms } from './page/forms.js'
import { listenForAway } from './page/offline.js'
import { listenForSaying } from './page/says.js'
import { hasChanges, listenForTyping } from './page/typed.js'
import { listenForFinding } from './page/find.js'
import { listenForOrder } from './page/order.js'
import { listenForWords } from './page/words.js'
import { listenForPulse } from './pulse.js'

Alpine.data('card', card)
Alpine.data('dueDates', dueDates)
Alpine.data('entry', entry)
Alpine.data('field', field)
Alpine.data('runSheet', runSheet)
Alpine.data('tapes', tapes)
Alpine.data('weekPlan', weekPlan)
Alpine.data('weekTapes', weekTapes)
Alpine.start()

readClock()
listenForSaying()
listenForTyping()
listenForPages()
listenForDays()
listenForWords()
listenForOrder()
listenForFinding()
listenForForms()
listenForKeys()
listenForAway()
listenForNetwork()
listenForPulse()
refreshEachMinute()
offer()
drawCode()
document.addEventListener('nekto:shown', drawCode)

const zone = document.querySelector('[data-own-zone]')
if (zone?.value === 'UTC') {
    zone.value = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
}

/** The plan may have mended itself meanwhile, and the present moves. */
function refreshEachMinute() {
    if (document.body.dataset.clock) {
        setInterval(() => document.visibilityState === 'visible' && !document.querySelector('dialog[open]') && !hasChanges() && refresh(), 60_000)
    }
}
