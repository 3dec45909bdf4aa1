import { isMovable, type ScheduledTask } from '@hervir/core';
import { type Message, say } from '@hervir/language';
import { t, textOf } from '../../language/t';
import type { Linear } from '../linear';
import type { Lane } from './frame';

export const LANE_NAMES: Readonly<Record<Lane, Message>> = {
  board: say('shared.board'),
  hands: say('shared.hands'),
  pot: say('shared.pot'),
  'side-burner': say('shared.side'),
};

/** What a block is drawn as: colour and fill follow from it. */
export type Tone = 'herb' | 'meat' | 'ember' | 'ember-soft' | 'steam' | 'steam-soft' | 'brass';

export interface Block {
  readonly key: string;
  readonly lane: Lane;
  readonly x: number;
  readonly width: number;
  readonly label: string;
  /** Whole words of what is done, for a title. */
  readonly title: string;
  readonly tone: Tone;
  /** The task that moves when it is moved; null where it stays where the pot has it. */
  readonly moves: { readonly task: string; readonly earlier: number; readonly startMinute: number } | null;
}

/** One `case` for every kind of work: what it is drawn as, and what it is called where there is little room. */
// oxlint-disable-next-line max-lines-per-function -- one case for each kind of block
function drawnAs({ work, label, resource }: ScheduledTask): {
  readonly tone: Tone;
  readonly label: string;
  readonly sauteing: boolean;
} {
  const as = (tone: Tone, short: string, sauteing = false): ReturnType<typeof drawnAs> => ({
    tone,
    label: short,
    sauteing,
  });
  const handsOn: Tone = resource === 'hands' ? 'ember' : resource === 'side-burner' ? 'brass' : 'ember-soft';
  switch (work.kind) {
    case 'board':
      return work.board === 'meat' ? as('meat', t('phrase.meat')) : as('herb', t('task.vegetables'));
    case 'later-board':
      return as('herb', textOf(label));
    case 'heat':
      return as('ember-soft', t('shared.heat'));
    case 'sear':
      return as(handsOn, t('shared.sear'), true);
    case 'fry':
      return as('ember-soft', t('shared.aromatics'), true);
    case 'marinade':
    case 'deglaze':
      return as('ember-soft', t('shared.scrape'), true);
    case 'load':
      return as('ember-soft', t('shared.load'));
    case 'come-up':
      return as('steam-soft', t('shared.heating'));
    case 'pressure':
      return as(
        'steam',
        work.run === 1
          ? t('shared.under-pressure')
          : work.run === 2
            ? t('shared.2nd')
            : t('shared.run', { run: work.run }),
      );
    case 'let-down':
      return as('steam-soft', work.run === 1 ? t('shared.let-down') : t('shared.vent'));
    case 'open':
      return as('ember-soft', t('shared.open'));
    case 'fill':
      return as('ember-soft', t('shared.fill'));
    case 'boil':
      return as('steam-soft', t('shared.heating'));
    case 'simmer':
      return as('steam-soft', t('shared.simmer'));
    case 'finish':
      return as(handsOn, t('shared.sauce'));
    case 'rest':
      return as('steam-soft', t('shared.rest'));
    case 'plate':
      return as('ember', t('shared.plate'));
    case 'put-away':
      return work.move === 'ice-bath' ? as('steam-soft', t('shared.in-ice-water')) : as('ember-soft', t('shared.away'));
    case 'day':
      return as(work.move === 'warm' ? 'steam-soft' : handsOn, textOf(label));
    case 'apart':
    case 'cook-apart':
      return as('brass', textOf(label));
    case 'side':
      return as(resource === 'board' ? 'herb' : handsOn, textOf(label));
  }
}

interface Run {
  readonly task: ScheduledTask;
  /** The last of what is drawn as one: moved, it takes what comes before it along. */
  last: ScheduledTask;
  readonly lane: Lane;
  readonly tone: Tone;
  label: string;
  title: string;
  start: number;
  end: number;
}

/** Blocks of the lanes; what follows on in one lane with one meaning is drawn as one. */
function runs(tasks: readonly ScheduledTask[]): Run[] {
  const drawn: Run[] = [];
  const push = (task: ScheduledTask, lane: Lane, tone: Tone, label: string): void => {
    const before = drawn.filter((run) => run.lane === lane).at(-1);
    const end = task.startMinute + task.minutes;
    if (before && before.label === label && Math.abs(before.end - task.startMinute) < 0.01) {
      before.end = end;
      before.last = task;
      before.title = `${before.title}; ${textOf(task.label)}`;
      return;
    }
    drawn.push({ task, last: task, lane, tone, label, title: textOf(task.label), start: task.startMinute, end });
  };
  for (const task of tasks) {
    const { tone, label, sauteing } = drawnAs(task);
    if (task.resource === 'pot') push(task, 'pot', tone, sauteing ? t('shared.saute') : label);
    else push(task, task.resource, tone, label);
    if (task.handsOn && task.resource === 'pot') push(task, 'hands', 'ember', label);
  }
  return drawn;
}

/**
 * The blocks of the lanes: what follows on in one lane with one meaning is drawn as one.
 *
 * @param tasks of a forecast
 * @param x where a minute of the evening stands, px
 */
export function laneBlocks(tasks: readonly ScheduledTask[], x: Linear): Block[] {
  return runs(tasks).map((run) => ({
    key: `${run.lane}-${run.task.id}`,
    lane: run.lane,
    x: x(run.start),
    width: Math.max(3, x(run.end) - x(run.start)),
    label: run.label,
    title: run.title,
    tone: run.tone,
    moves: isMovable(run.last) ? { task: run.last.id, earlier: run.last.movedMinutes, startMinute: run.start } : null,
  }));
}
