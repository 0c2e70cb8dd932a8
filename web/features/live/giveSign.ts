import type { Sign } from './sign.ts';

/** Told apart with gloves on and the engine running: by how many, how high and how long. */
const SIGNS: Record<Sign, { hertz: number; beats: number; beatMs: number }> = {
  steady: { hertz: 880, beats: 1, beatMs: 120 },
  'steady-as-expected': { hertz: 880, beats: 1, beatMs: 120 },
  'steady-out-of-band': { hertz: 440, beats: 2, beatMs: 160 },
  lost: { hertz: 220, beats: 1, beatMs: 600 },
};
const PAUSE_MS = 90;
const LOUDNESS = 0.25;

let audio: AudioContext | undefined;

/** Sounds and shakes it; a device that can do neither, or may not yet, stays silent. */
export function giveSign(sign: Sign): void {
  const { hertz, beats, beatMs } = SIGNS[sign];
  const pattern = Array.from({ length: beats }, () => [beatMs, PAUSE_MS]).flat();
  if ('vibrate' in navigator) navigator.vibrate(pattern);
  try {
    audio ??= new AudioContext();
    for (let beat = 0; beat < beats; beat++) {
      const tone = audio.createOscillator();
      const loudness = audio.createGain();
      tone.frequency.value = hertz;
      loudness.gain.value = LOUDNESS;
      tone.connect(loudness).connect(audio.destination);
      const start = audio.currentTime + (beat * (beatMs + PAUSE_MS)) / 1000;
      tone.start(start);
      tone.stop(start + beatMs / 1000);
    }
  } catch {
    // Without a loudspeaker the eyes have to do.
  }
}
