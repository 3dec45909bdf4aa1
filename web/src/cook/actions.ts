import { type CookEventKind, type CookEventPayload, RESCUE_TITLES, type StepState } from '@hervir/core';
import { press } from '../state/cooks-store';
import { armBell } from './bell';
import { nowMs } from './kitchen-clock';
import type { LiveCook } from './use-cook';
import { t, textOf } from '../language/t';
import { lowerFirst, type Message, say } from '@hervir/language';

/** Everything that can be pressed in a cook, each with the moment it was pressed. Any press wakes the sound too. */
export interface CookActions {
  /** What the big button says. */
  readonly done: (step: StepState['step']) => void;
  readonly otherwise: (step: StepState['step']) => void;
  readonly more: (minutes?: number) => void;
  readonly notYet: (step: string) => void;
  readonly undo: () => void;
  readonly tell: (kind: CookEventKind, payload?: CookEventPayload) => void;
}

/** The actions of one cook. */
export function actionsOf(cook: LiveCook): CookActions {
  return actionsVia(cook, (kind, payload = {}) => {
    void armBell();
    press(cook.record.id, kind, payload, nowMs());
  });
}

/** The actions of a cook whose events go another way: a rehearsal's. */
export function actionsVia({ state }: LiveCook, tell: CookActions['tell']): CookActions {
  return {
    done: (step) => tell(step.done === 'checked' ? 'stepDone' : step.done, { step: step.id }),
    otherwise: (step) => step.otherwise && tell(step.otherwise.done, { step: step.id }),
    more: (minutes = 1) => state.now && tell('minutesAdded', { step: state.now.step.id, minutes }),
    notYet: (step) => tell('notYet', { step }),
    undo: () => state.last && tell('undone', { event: state.last.id }),
    tell,
  };
}

/** What a linked cooker tells, in words. */
const TOLD_WORDS: Readonly<Partial<Record<CookEventKind, Message>>> = {
  pinUp: say('cook.pin-is-up'),
  timerStarted: say('cook.it-counts'),
  heaterOff: say('cook.it-has-ended'),
  pinDown: say('cook.pin-is-down'),
};

/** What undo would take back, in the words of the button that was pressed. */
export function lastWords({ state }: LiveCook): string | null {
  const { last } = state;
  if (!last) return null;
  const own = state.steps.find(({ step }) => step.id === last.payload.step)?.step;
  const side = state.tracks.flatMap(({ steps }) => steps).find(({ step }) => step.id === last.payload.step);
  switch (last.kind) {
    case 'minutesAdded':
      return last.payload.again ? t('cook.lid-back-on') : t('cook.min-more', { minutes: last.payload.minutes ?? 1 });
    case 'notYet':
      return t('cook.not-yet');
    case 'burn':
      return t('cook.burn');
    case 'wentWrong':
      return lowerFirst(textOf(RESCUE_TITLES[last.payload.trouble ?? 'burn'].title));
    case 'checked':
      return t('cook.the-check', { grade: last.payload.grade ?? '' });
    case 'note':
      return t('cook.the-note');
    case 'weighed':
      return t('cook.the-weight');
    case 'finished':
      return t('cook.closing');
    case 'stepStarted':
      return t('cook.begun', { title: side?.step.title ?? t('cook.side-dish') });
    default:
      if (side) return t('cook.done', { title: side.step.title });
      if (last.payload.byCooker === true)
        return t('cook.told-by-the-cooker', { toldWords: TOLD_WORDS[last.kind] ?? last.kind });
      return own?.otherwise?.done === last.kind ? textOf(own.otherwise.button) : textOf(own?.button ?? last.kind);
  }
}
