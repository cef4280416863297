const two = (number) => String(number).padStart(2, '0')

/** A time of the day as the person reads it: 14:30, or 2:30 pm. */
export function clock(minutes) {
    const hour = Math.floor(minutes / 60) % 24
    return 'twelve' in document.getElementById('page').dataset ? `${((hour + 11) % 12) + 1}:${two(minutes % 60)} ${hour < 12 ? 'am' : 'pm'}` : plain(minutes)
}

/** The same as forms and addresses have it: always 14:30, and 24:00 for the end of a day. */
export function plain(minutes) {
    return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`
}
