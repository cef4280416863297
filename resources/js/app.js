import Alpine from '@alpinejs/csp'
import morph from '@alpinejs/morph'
import bestHours from './components/bestHours.js'
import card from './components/card.js'
import entry from './components/entry.js'
import field from './components/field.js'
import runSheet from './components/runSheet.js'
import toast from './components/toast.js'
import { listenForKeys } from './keys.js'
import { listenForForms, offer, refreshEachMinute } from './page.js'
import { listenForPulse } from './pulse.js'

Alpine.plugin(morph)
Alpine.data('bestHours', bestHours)
Alpine.data('card', card)
Alpine.data('entry', entry)
Alpine.data('field', field)
Alpine.data('runSheet', runSheet)
Alpine.data('toast', toast)
Alpine.start()

listenForForms()
listenForKeys()
refreshEachMinute()
listenForPulse()
offer()

const zone = document.querySelector('[data-own-zone]')
if (zone?.value === 'UTC') {
    zone.value = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
}
