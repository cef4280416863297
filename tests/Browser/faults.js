import AxeBuilder from '@axe-core/playwright'

const rules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/** What keeps someone from using the page, by WCAG 2.2 AA as far as axe-core can tell; or by its colours alone. */
export async function faults(page, { coloursAlone = false } = {}) {
    const builder = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode() // our pages have no frames: the other mode opens a further page to put their results together
    const result = await (coloursAlone ? builder.withRules(['color-contrast']) : builder.withTags(rules)).analyze()
    return result.violations.flatMap((violation) => violation.nodes.filter((node) => !isAsLongAsItsTime(violation, node)).map((node) => `${violation.id}: ${node.target} – ${node.failureSummary?.split('\n')[1]?.trim()}`))
}

/** A block is as high as its minutes: that is what the sheet is for (the exception "essential" of WCAG 2.2, 2.5.8). */
function isAsLongAsItsTime(violation, node) {
    return violation.id === 'target-size' && (/^#block-\d+$|^\.piece/.test(node.target.join(' ')) || /^<a [^>]*class="piece /.test(node.html))
}
