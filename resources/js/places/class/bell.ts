/** A short, low tone, for who wants the end of a box to be heard. */
export function ring(): void {
  try {
    const context = new AudioContext();
    const tone = context.createOscillator();
    const loudness = context.createGain();
    tone.frequency.value = 392;
    loudness.gain.setValueAtTime(0.25, context.currentTime);
    loudness.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 1.2);
    tone.connect(loudness).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + 1.2);
    tone.onended = () => void context.close();
  } catch {
    // A device without sound shows the end of the box all the same.
  }
}
