import { isTyping, useKeys } from '../app/shortcuts';
import { redo, undo } from '../state/bench/bench-store';
import { STATIONS, type StationKey } from './station-heads';

interface BenchKeys {
  readonly onStation: (station: StationKey) => void;
  readonly onEverything: () => void;
  readonly letterKeys: boolean;
}

/** Digits open stations, nought opens everything together; undo and redo as everywhere. */
export function useBenchKeys({ onStation, onEverything, letterKeys }: BenchKeys): void {
  useKeys((event) => {
    if (isTyping(event.target)) return;
    const undoing = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    if (undoing && key === 'z') {
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    } else if (undoing && key === 'y') {
      event.preventDefault();
      redo();
    } else if (letterKeys && !undoing && !event.altKey && /^\d$/.test(event.key)) {
      const station = STATIONS[Number(event.key) - 1];
      if (event.key === '0') onEverything();
      else if (station) onStation(station);
    }
  });
}
