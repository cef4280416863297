/** What the plan says of a drop, a paragraph a thing: refused, or what would be late, then what gives way and where it goes. */
export function dropLines(says) {
    const words = says.refused !== undefined
        ? [says.refused]
        : [...says.late, ...(says.estimate ? [says.estimate] : []), ...says.moves.map((move) => `${move.title} → ${move.to}`), ...(says.more ? [`and ${says.more} more`] : [])]
    return (words.length ? words : ['nothing gives way']).map((text, i) => {
        const line = document.createElement('p')
        line.textContent = text
        line.classList.toggle('coral', says.refused !== undefined || i < says.late.length)
        return line
    })
}
