/** Sounds of the kitchen’s timers, made by the browser itself: no file has to be there for one to ring. */

let context: AudioContext | null = null;

/** A browser makes no sound before somebody has touched the page. */
function wake(): void {
  if (typeof AudioContext !== "function") return;
  context ??= new AudioContext();
  void context.resume();
}
if (typeof document !== "undefined")
  for (const touch of ["pointerdown", "keydown"]) document.addEventListener(touch, wake, { once: true });

/** Steps of a pentatonic scale over 440 Hz: any two of them sound well together, and each is told from the next. */
const SCALE = [0, 2, 4, 7, 9, 12, 14, 16];
const BASE_HZ = 440;
const NOTE_S = 0.16;

/** Rings once: the same name always with the same two notes, so that “skim” is told from “turn” without looking. */
export function ring(name: string): void {
  if (!context || context.state !== "running") return;
  const sum = [...name].reduce((n, sign) => n + sign.charCodeAt(0), 0);
  const notes = [SCALE[sum % SCALE.length] ?? 0, SCALE[(sum * 3 + 2) % SCALE.length] ?? 7];
  const start = context.currentTime;
  for (const [i, note] of [...notes, ...notes].entries())
    tone(context, BASE_HZ * 2 ** (note / 12), start + i * NOTE_S);
}

function tone(audio: AudioContext, hz: number, at: number): void {
  const source = audio.createOscillator();
  const gain = audio.createGain();
  source.type = "triangle";
  source.frequency.value = hz;
  gain.gain.setValueAtTime(0.0001, at);
  gain.gain.exponentialRampToValueAtTime(0.5, at + 0.015);
  gain.gain.exponentialRampToValueAtTime(0.0001, at + NOTE_S);
  source.connect(gain).connect(audio.destination);
  source.start(at);
  source.stop(at + NOTE_S);
}
