/** Three soft notes, made in the browser; nothing where it has no sound. */
export function ring(): void {
  if (typeof AudioContext === 'undefined') return
  const audio = new AudioContext()
  for (const [i, hz] of [523, 659, 784].entries()) {
    const [tone, volume] = [audio.createOscillator(), audio.createGain()]
    tone.frequency.value = hz
    const at = audio.currentTime + 0.25 * i
    volume.gain.setValueAtTime(0.0001, at)
    volume.gain.exponentialRampToValueAtTime(0.25, at + 0.03)
    volume.gain.exponentialRampToValueAtTime(0.0001, at + 0.6)
    tone.connect(volume).connect(audio.destination)
    tone.start(at)
    tone.stop(at + 0.65)
  }
  window.setTimeout(() => void audio.close(), 2000)
}
