/* Two soft tones, made here: nothing is loaded. */

let context = null

/** Said on completion, unless the person wants it quiet. Only after a key or a click, which browsers ask for. */
export function chime() {
    if (document.body.dataset.sound !== 'on' || typeof AudioContext === 'undefined') {
        return
    }
    context ??= new AudioContext()
    for (const [pitch, at] of [[523.25, 0], [783.99, 0.14]]) {
        const tone = context.createOscillator()
        const loudness = context.createGain()
        const from = context.currentTime + at
        tone.frequency.value = pitch
        loudness.gain.setValueAtTime(0, from)
        loudness.gain.linearRampToValueAtTime(0.06, from + 0.02)
        loudness.gain.exponentialRampToValueAtTime(0.0001, from + 0.7)
        tone.connect(loudness).connect(context.destination)
        tone.start(from)
        tone.stop(from + 0.72)
    }
}
