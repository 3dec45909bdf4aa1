import { inWords } from '../language/speech';
import { NOTES, resultOf, type LogEntry, type LogItem } from '@hervir/contract';
import {
  cutById,
  cutTitle,
  eventsThatCount,
  isTheDay,
  leastGrade,
  type CookEvent,
  type CookState,
  type Forecast,
  type Move,
  type Observation,
  type Plan,
  type SectionId,
} from '@hervir/core';
import type { CookEntity, LogEntryEntity } from '../database/entities';

/** What a cook was promised when it was begun. */
export interface Promised {
  readonly forecast: Forecast;
  /** Chance of dinner in time, begun when it was; null where no time was named. */
  readonly inTime: number | null;
}

/** The first check of a cook: later ones are of meat that went back. */
export function firstGrade(events: readonly CookEvent[]): LogEntry['grade'] {
  // One that was taken back was never said.
  const { kept } = eventsThatCount(events);
  return kept.find(({ kind, payload }) => kind === 'checked' && payload.grade !== undefined)?.payload.grade ?? null;
}

const rounded = (minutes: number | null): number | null =>
  minutes === null ? null : Math.round(Math.max(0, minutes) * 10) / 10;

const isPin = (move: Move): boolean => move.kind === 'come-up' && move.until === 'pin';

/** Cooked on another day than planned, dinner was neither late nor early, min. */
const SAME_EVENING = { from: -1440, to: 2880 };

function lateBy(minutes: number): number | null {
  return minutes < SAME_EVENING.from || minutes > SAME_EVENING.to ? null : Math.round(minutes);
}

const NOT_TIMED = { planned: null, actual: null } as const;
/** On the day of what was cooked ahead no lid is timed. */
const UNTIMED = { pressure: NOT_TIMED, toPin: NOT_TIMED, release: NOT_TIMED } as const;

const share = (chance: number): number => Math.round(Math.min(1, Math.max(0, chance)) * 1000) / 1000;

function promiseOf({ forecast: { tenderness }, inTime }: Promised): NonNullable<LogEntry['promised']> {
  const { at, past } = tenderness.chance;
  return { tender: share(at + past), inTime: inTime === null ? null : share(inTime) };
}

/**
 * The log's line of a finished cook.
 *
 * @param cook as kept
 * @param known its plan's forecast, and what it promised; null where the plan cannot be reckoned any more, and for the day of
 * what was cooked ahead, which promised nothing
 * @param state its end
 * @param first what the fork found first: what is learnt from; the line says what it found last
 */
export function entryOf(
  cook: CookEntity,
  known: Promised | null,
  state: CookState,
  first: LogEntry['grade'],
): LogEntry {
  const { plan } = cook;
  const f = known?.forecast ?? null;
  const took = (section: SectionId): number | null => state.took.find((one) => one.section === section)?.actual ?? null;
  const warmed = isTheDay(cook.guide);
  const enough = cook.guide.wanted === leastGrade(plan.target) ? undefined : cook.guide.wanted;
  const served = state.steps.at(-1)?.doneAt ?? state.finishedAt ?? state.startedAt ?? 0;
  const toPin = (): number | null => {
    const step = state.steps.find(
      (one) => one.step.run === 1 && one.step.broughtInBy === null && one.step.moves.some(isPin),
    );
    if (!step || step.startedAt === null || step.doneAt === null || step.passedOver || step.cutShort) return null;
    return (step.doneAt - step.startedAt) / 60_000;
  };
  return {
    id: cook.id,
    source: warmed ? 'warmed' : 'cooked',
    servedAt: new Date(served).toISOString(),
    name: cook.name,
    cut: plan.meat.cut,
    form: plan.meat.form,
    cooker: plan.cooker.name,
    wanted: plan.target,
    grade: state.grade,
    ...(first === state.grade ? {} : { firstGrade: first }),
    ...(enough === undefined || warmed ? {} : { enough }),
    boughtG: state.weights.bought ?? plan.meat.grams,
    trimmedG: state.weights.trimmed ?? (plan.meat.trimGrams > 0 ? plan.meat.grams - plan.meat.trimGrams : null),
    cookedG: state.weights.cooked ?? null,
    ...(warmed
      ? UNTIMED
      : {
          pressure: { planned: f?.pressureMinutes ?? plan.pressureMinutes, actual: rounded(took('pressure')) },
          toPin: { planned: rounded(f?.pot.minutesToPin ?? null), actual: rounded(toPin()) },
          release: { planned: rounded(f?.pot.releaseMinutes ?? null), actual: rounded(took('letting-down')) },
        }),
    lateMinutes: lateBy(state.dinner.driftMinutes),
    burns: state.burns,
    ...(known === null ? {} : { promised: promiseOf(known) }),
    outcome: { moistness: null, sauce: null, vegetables: {} },
    notes: state.notes
      .map(({ text }) => text)
      .join('\n')
      .slice(0, NOTES),
  };
}

/** How tough an animal was, as its evidence says: the middle of what is possible, by logarithm. */
function toughOf({ toughness }: Observation): number | null {
  if (toughness === undefined) return null;
  if ('at' in toughness) return toughness.at;
  return Math.max(-1, Math.min(1, (Math.max(-1, toughness.from) + Math.min(1, toughness.to)) / 2));
}

const over = (actual: number | null, planned: number | null): number | null =>
  actual === null || planned === null || planned <= 0 || actual <= 0 ? null : actual / planned;
const lost = (left: number | null, of: number): number | null => (left === null || of <= 0 ? null : 1 - left / of);

/** What is looked for and sorted by, from an entry. */
export function columnsOf(entry: LogEntry, plan: Plan, observation: Observation): Omit<LogEntryEntity, 'photo'> {
  const cut = cutById(entry.cut);
  const beside = plan.otherMeats.map((meat) => inWords(cutTitle(cutById(meat.cut))));
  return {
    id: entry.id,
    servedAt: new Date(entry.servedAt).toISOString(),
    cut: entry.cut,
    species: cut.species,
    cooker: entry.cooker,
    result: resultOf(entry.grade, entry.wanted, entry.enough),
    late: entry.lateMinutes,
    tough: toughOf(observation),
    grams: entry.boughtG,
    pinRatio: entry.burns === 0 ? over(entry.toPin.actual, entry.toPin.planned) : null,
    trimShare: lost(entry.trimmedG, entry.boughtG),
    cookShare: lost(entry.cookedG, entry.trimmedG ?? entry.boughtG),
    words: [entry.name, inWords(cutTitle(cut)), ...beside, entry.cooker, entry.notes, entry.grade ?? '']
      .join(' ')
      .toLowerCase(),
    entry,
    plan,
    observation,
  };
}

export function itemOf({ entry, result, photo }: Pick<LogEntryEntity, 'entry' | 'result' | 'photo'>): LogItem {
  return { ...entry, result, photo };
}
