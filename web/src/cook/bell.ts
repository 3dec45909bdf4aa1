import type { Alarm } from '@hervir/core';
import { create } from 'zustand';
import { language } from '../language/t';

interface BellState {
  /** A browser gives no sound before something was pressed on the page. */
  readonly armed: boolean;
}

/** Whether this page may make a sound. */
export const useBell = create<BellState>(() => ({ armed: false }));

let context: AudioContext | null = null;

/** Call from a press: wakes the sound. */
export async function armBell(): Promise<void> {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  context.onstatechange = () => useBell.setState({ armed: context?.state === 'running' });
  if (context.state !== 'running') await context.resume();
  useBell.setState({ armed: context.state === 'running' });
}

/** Notes of an alarm: when after its beginning, s, how high, Hz, and how long, s. */
const NOTES: Readonly<Record<Exclude<Alarm, 'none'>, readonly (readonly [number, number, number])[]>> = {
  // Two soft notes going up: a hand is wanted.
  turn: [
    [0, 523, 0.28],
    [0.3, 784, 0.5],
  ],
  // Hard, high and low in turn: something can do harm.
  danger: [
    [0, 932, 0.18],
    [0.22, 622, 0.18],
    [0.44, 932, 0.18],
    [0.66, 622, 0.18],
    [0.88, 932, 0.18],
    [1.1, 622, 0.3],
  ],
};

/** Sounds an alarm once, where sound is armed. */
export function ring(alarm: Exclude<Alarm, 'none'>, loud: boolean): void {
  if (context?.state !== 'running') return;
  const begin = context.currentTime + 0.02;
  for (const [after, hertz, seconds] of NOTES[alarm]) {
    const tone = context.createOscillator();
    const gain = context.createGain();
    tone.type = alarm === 'danger' ? 'square' : 'triangle';
    tone.frequency.value = hertz;
    const peak = (loud ? 0.9 : 0.35) * (alarm === 'danger' ? 0.6 : 1);
    gain.gain.setValueAtTime(0.0001, begin + after);
    gain.gain.exponentialRampToValueAtTime(peak, begin + after + 0.02);
    gain.gain.exponentialRampToValueAtTime(0.0001, begin + after + seconds);
    tone.connect(gain).connect(context.destination);
    tone.start(begin + after);
    tone.stop(begin + after + seconds + 0.02);
  }
}

/** True where this browser can read aloud. */
export const canSpeak = (): boolean => 'speechSynthesis' in window;

/** Says a sentence, leaving off what was being said. */
export function speak(text: string): void {
  if (!canSpeak()) return;
  window.speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  // A voice of the page's language, whatever the device's own is.
  said.lang = language();
  window.speechSynthesis.speak(said);
}
