/** The bell at the press. Made by the browser, no file; it must be woken by a touch or a key first. */
let audio: AudioContext | null = null;

export function wakeSound(): void {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  if (audio.state === 'suspended') void audio.resume();
}

/** Falling tones, unlike a press's own beep: each press has its own three, a whole tone apart. */
const TONES_HZ = [880, 660, 494] as const;
const WHOLE_TONE = 2 ** (1 / 6);

/** Rings for one press; presses beyond the sixth share tones. */
export function ring(press: number): void {
  if (!audio || audio.state !== 'running') return;
  const start = audio.currentTime + 0.02;
  const shift = WHOLE_TONE ** -(press % 6);
  TONES_HZ.forEach((hz, i) => {
    if (!audio) return;
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    const at = start + i * 0.28;
    tone.type = 'triangle';
    tone.frequency.value = hz * shift;
    loud.gain.setValueAtTime(0, at);
    loud.gain.linearRampToValueAtTime(0.6, at + 0.02);
    loud.gain.exponentialRampToValueAtTime(0.001, at + 0.26);
    tone.connect(loud).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 0.28);
  });
}
