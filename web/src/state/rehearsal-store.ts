import type { ActAnswer, Pace, RehearsalAct, RehearsalMessages, RehearsalNow, RehearsalRecord } from '@hervir/contract';
import type { CookEventKind, CookEventPayload, Frame } from '@hervir/core';
import { create } from 'zustand';
import { Away, newId, Refused, request, streamOf } from '../api/client';
import { t, textOf } from '../language/t';

interface RehearsalState {
  readonly record: RehearsalRecord | null;
  /** Telemetry since it began, in order. */
  readonly frames: readonly Frame[];
  /** Its own clock, as last told: ms since 1970, times real time, and when that was by the browser's steady count. */
  readonly clock: { readonly now: number; readonly speed: number; readonly steady: number };
  /** Why the cooker, or the guide, would not have the last act. */
  readonly refused: string | null;
  readonly reached: boolean;
}

const EMPTY: RehearsalState = {
  record: null,
  frames: [],
  clock: { now: 0, speed: 0, steady: 0 },
  refused: null,
  reached: true,
};

/** The rehearsal this page is at. */
export const useRehearsal = create<RehearsalState>()(() => EMPTY);

/** Now, by the rehearsal's own clock, ms since 1970. */
export function rehearsalMs({ clock }: Pick<RehearsalState, 'clock'>): number {
  return clock.now + (performance.now() - clock.steady) * clock.speed;
}

function setClock(now: string, speed: number): void {
  useRehearsal.setState({ clock: { now: Date.parse(now), speed, steady: performance.now() } });
}

function takeNow(now: RehearsalNow): void {
  useRehearsal.setState(({ record }) => (record ? { record: { ...record, ...now } } : {}));
  setClock(now.now, now.speed);
}

/** Adds telemetry; what is known already is left out, and a gap is impossible: the stream resumes where it was. */
function takeFrames({ frames, now, speed }: RehearsalMessages['frames']): void {
  useRehearsal.setState((state) => {
    const fresh = frames.filter(({ seq }) => seq >= state.frames.length);
    return fresh.length === 0 ? {} : { frames: [...state.frames, ...fresh] };
  });
  setClock(now, speed);
}

/**
 * Opens a rehearsal and listens to its cooker for as long as the page is at it.
 *
 * @returns how to leave
 */
export function watchRehearsal(record: RehearsalRecord): () => void {
  useRehearsal.setState({ ...EMPTY, record });
  setClock(record.now, 0);
  const source = streamOf(`/rehearsals/${record.id}/stream`);
  source.addEventListener('frames', ({ data }: MessageEvent<string>) => takeFrames(JSON.parse(data) as never));
  source.addEventListener('now', ({ data }: MessageEvent<string>) => {
    const now = JSON.parse(data) as RehearsalNow;
    // Something has happened since: what was refused before is not worth a word any more.
    if (now.events.length !== useRehearsal.getState().record?.events.length) useRehearsal.setState({ refused: null });
    takeNow(now);
  });
  source.onopen = () => useRehearsal.setState({ reached: true });
  source.onerror = () => {
    const { clock } = useRehearsal.getState();
    // Its time stands still while nobody watches.
    useRehearsal.setState({
      reached: false,
      clock: { now: rehearsalMs({ clock }), speed: 0, steady: performance.now() },
    });
  };
  return () => {
    source.close();
    useRehearsal.setState(EMPTY);
  };
}

/** Does something; what the cooker answers is shown until the next thing is done. */
export async function act(what: RehearsalAct): Promise<boolean> {
  const { record } = useRehearsal.getState();
  if (!record) return false;
  try {
    const { refused, now } = await request<ActAnswer>('POST', `/rehearsals/${record.id}/acts`, what);
    useRehearsal.setState({ refused: refused === null ? null : textOf(refused) });
    takeNow(now);
    return refused === null;
  } catch (error) {
    if (error instanceof Away) useRehearsal.setState({ reached: false, refused: t('api.the-server-does-not-answer') });
    else if (error instanceof Refused) useRehearsal.setState({ refused: error.message });
    else throw error;
    return false;
  }
}

/** Something of the guide was pressed; with idle hands it is only said. */
export function tellRehearsal(kind: CookEventKind, payload: CookEventPayload = {}, hands = true): Promise<boolean> {
  const at = new Date(rehearsalMs(useRehearsal.getState())).toISOString();
  return act({ act: 'press', event: { id: newId(), kind, at, payload }, hands });
}

/** Changes how its time goes by. */
export async function setPace(change: Partial<Pace>): Promise<void> {
  const { record } = useRehearsal.getState();
  if (!record) return;
  takeNow(await request<RehearsalNow>('PUT', `/rehearsals/${record.id}/pace`, change));
}
