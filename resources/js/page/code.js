/** Draws what an authenticator reads (`data-code`) as squares of one SVG path; only pages that have one load the library. */
export async function drawCode() {
    const place = document.querySelector('[data-code]')
    if (!place || place.firstChild) {
        return
    }
    const { default: qrcode } = await import('qrcode-generator')
    const code = qrcode(0, 'M')
    code.addData(place.dataset.code)
    code.make()
    const size = code.getModuleCount()
    let path = ''
    for (let row = 0; row < size; row++) {
        for (let column = 0; column < size; column++) {
            path += code.isDark(row, column) ? `M${column} ${row}h1v1h-1z` : ''
        }
    }
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg')
    svg.setAttribute('viewBox', `-4 -4 ${size + 8} ${size + 8}`)
    svg.setAttribute('aria-hidden', 'true')
    const drawn = document.createElementNS('http://www.w3.org/2000/svg', 'path')
    drawn.setAttribute('d', path)
    svg.append(drawn)
    place.append(svg)
}
