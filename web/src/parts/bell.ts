let sound: AudioContext | null = null;

/** Called within a tap: a browser sounds nothing that nobody asked for. */
export function readyToRing(): void {
  sound ??= new AudioContext();
}

/** Three tones that are heard across a room. */
export function ring(): void {
  if (!sound) {
    return;
  }
  for (let i = 0; i < 3; i++) {
    const tone = sound.createOscillator();
    tone.frequency.value = 880;
    tone.connect(sound.destination);
    tone.start(sound.currentTime + i * 0.4);
    tone.stop(sound.currentTime + i * 0.4 + 0.2);
  }
}
