/** A short soft sound that says that a tap was taken; nothing where the browser makes none. */
export function tick(): void {
  try {
    const sound = new AudioContext();
    const [tone, loudness] = [sound.createOscillator(), sound.createGain()];
    tone.frequency.value = 660;
    loudness.gain.setValueAtTime(0.08, sound.currentTime);
    loudness.gain.exponentialRampToValueAtTime(0.0001, sound.currentTime + 0.12);
    tone.connect(loudness).connect(sound.destination);
    tone.start();
    tone.stop(sound.currentTime + 0.13);
    tone.onended = () => void sound.close();
  } catch {
    // Silence does no harm.
  }
}

/** Whether the browser has a voice. */
export const CAN_SPEAK = 'speechSynthesis' in globalThis;

/** Says something by the browser's own voice; what it was saying before is cut short. */
export function speak(text: string): void {
  if (!CAN_SPEAK) return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
