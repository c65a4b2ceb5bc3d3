/** The bell at the press. Made by the browser, no file; it must be woken by a touch or a key first. */
let audio: AudioContext | null = null;

export function wakeSound(): void {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  if (audio.state === 'suspended') void audio.resume();
}

/** Three falling tones, unlike the press's own beep. */
export function ring(): void {
  if (!audio || audio.state !== 'running') return;
  const start = audio.currentTime + 0.02;
  [880, 660, 494].forEach((hz, i) => {
    if (!audio) return;
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    const at = start + i * 0.28;
    tone.type = 'triangle';
    tone.frequency.value = hz;
    loud.gain.setValueAtTime(0, at);
    loud.gain.linearRampToValueAtTime(0.6, at + 0.02);
    loud.gain.exponentialRampToValueAtTime(0.001, at + 0.26);
    tone.connect(loud).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 0.28);
  });
}
