import { eventsThatCount, RESCUE_TITLES, type CookEvent, type CookState } from '@hervir/core';
import { GRADE_WORDS } from '../shared/words';
import { t, textOf } from '../language/t';

/** One thing that was told of a cook. */
export interface Happened {
  readonly key: string;
  readonly at: number;
  readonly text: string;
}

/** What an event said, in the words of what was pressed; null for what says nothing of the pot. */
function wordsOf({ kind, payload }: CookEvent, state: CookState): string | null {
  const step = state.steps.find((one) => one.step.id === payload.step)?.step;
  switch (kind) {
    case 'burn':
      return t('log.it-burnt-the-heat-went');
    case 'wentWrong':
      return textOf(RESCUE_TITLES[payload.trouble ?? 'burn'].title);
    case 'checked':
      return payload.grade === undefined ? null : t('log.tried', { gradeWords: GRADE_WORDS[payload.grade] });
    case 'minutesAdded':
      return payload.again
        ? t('log.lid-back-on-for-min', { minutes: payload.minutes ?? 0 })
        : t('log.min-3', { minutes: payload.minutes ?? 0, isMinutes: (payload.minutes ?? 0) < 0 });
    case 'note':
      return payload.text ?? null;
    case 'weighed':
    case 'notYet':
    case 'undone':
    case 'finished':
    case 'stepStarted':
      return null;
    case 'started':
      return t('log.begun');
    default:
      return step === undefined
        ? null
        : step.otherwise?.done === kind
          ? textOf(step.otherwise.button)
          : textOf(step.button);
  }
}

/**
 * What happened in a cook, as it was pressed: the steps that were told done, what went wrong, every check, minutes added.
 * What was taken back is not there.
 */
export function happenedIn(state: CookState, events: readonly CookEvent[]): Happened[] {
  const ignored = new Set(state.ignored.map(({ event }) => event));
  const { kept } = eventsThatCount(events);
  const told = kept
    .filter(({ id }) => !ignored.has(id))
    .flatMap((event): Happened[] => {
      const text = wordsOf(event, state);
      return text === null ? [] : [{ key: event.id, at: Date.parse(event.at), text }];
    });
  const named = new Set(kept.map(({ payload }) => payload.step));
  // What ended a step without naming it: the cooker, or a time that was up.
  const byItself = state.steps.flatMap(({ step, doneAt, passedOver }): Happened[] =>
    doneAt === null || passedOver || named.has(step.id)
      ? []
      : [{ key: step.id, at: doneAt, text: textOf(step.button) }],
  );
  return [...told, ...byItself].sort((a, b) => a.at - b.at);
}
