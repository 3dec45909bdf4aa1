import { moveOf, type RescueTopic } from '@hervir/core';
import type { ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { actionsOf, type CookActions } from '../cook/actions';
import { driftWords } from '../cook/drift-words';
import type { LiveCook } from '../cook/use-cook';
import { clockAt } from '../shared/words';
import type { CookAtHand } from './use-cook-at-hand';
import styles from './rescue.module.css';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

/** What a cook says has happened, on the button that stops or changes the minutes. */
const SAYS: Readonly<Partial<Record<RescueTopic, Message>>> = {
  burn: say('rescue.it-has-burnt-the-heat'),
  'boils-dry': say('rescue.it-has-boiled-dry-the'),
  'power-cut': say('rescue.the-power-is-gone'),
  'pin-will-not-rise': say('rescue.no-pin-the-heat-is'),
  'pin-will-not-fall': say('rescue.the-pin-stays-up-wait'),
};

const tellOf = (topic: RescueTopic, actions: CookActions): void =>
  topic === 'burn' ? actions.tell('burn') : actions.tell('wentWrong', { trouble: topic });

/** Whether what is done now came in because of this: the clock of what was planned stands still. */
function isBeingMended({ state }: LiveCook, topic: RescueTopic): boolean {
  const step = state.now?.step;
  if (step?.broughtInBy !== topic) return false;
  return ['clear', 'without-power', 'see-to'].some((kind) => step.moves.some((move) => move.kind === kind));
}

/** So long what was said of a cook counts as just said, ms. */
const JUST_NOW_MS = 60_000;

const wasJustTold = ({ state, now }: LiveCook, topic: RescueTopic): boolean =>
  state.troubles.some(({ trouble, at }) => trouble === topic && now - at < JUST_NOW_MS);

/** What is still to do, and when dinner is now. */
function WhatIsLeft({ at: { cook, figures } }: { readonly at: CookAtHand }): ReactNode {
  const { state, record } = cook;
  const toGo = Math.round(figures.toGo);
  return (
    <p className={styles['rescue-left']} role="status">
      {t('rescue.min-under-pressure-are-still', {
        pressing: toGo > 0,
        minutes: toGo,
        time: clockAt(state.dinner.at, record.guide.eatAt),
        driftWords: driftWords(state.dinner),
      })}
    </p>
  );
}

interface Props {
  readonly topic: RescueTopic;
  readonly at: CookAtHand;
  /** The steps of this page, between what is said first and what is said last. */
  readonly children: ReactNode;
}

/**
 * A rescue of a running cook: first what happened is said, which stops or changes its minutes; then the steps; last what
 * brings the cook back to the pot.
 */
export function WhatHappened({ topic, at, children }: Props): ReactNode {
  const { cook } = at;
  const navigate = useNavigate();
  const here = useLocation();
  const came = here.state as { readonly told?: boolean } | null;
  // Who pressed the key has said it already; and what was said here stays said, also where the page is drawn anew.
  const told = came?.told === true || wasJustTold(cook, topic);
  const actions = actionsOf(cook);
  const says = SAYS[topic];
  const mending = isBeingMended(cook, topic);
  const step = cook.state.now?.step;
  const andBack = (tell: () => void) => (): void => {
    tell();
    void navigate(`/cook/${cook.record.id}`);
  };
  const ends = (): { readonly label: string; readonly press: () => void } | null => {
    if (mending && step) return { label: textOf(step.button), press: andBack(() => actions.done(step)) };
    if (says === undefined)
      return { label: t('rescue.mended-back-to-the-pot'), press: andBack(() => tellOf(topic, actions)) };
    if (!told) return null;
    return topic === 'pin-will-not-fall' && fallsNow(cook)
      ? { label: t('rescue.the-pin-has-fallen'), press: andBack(() => actions.tell('pinDown')) }
      : { label: t('rescue.back-to-the-pot'), press: andBack(() => undefined) };
  };
  const end = ends();
  return (
    <>
      {says !== undefined && !mending && !told && (
        <button
          type="button"
          className="big-button"
          onClick={() => {
            tellOf(topic, actions);
            void navigate({ pathname: here.pathname, search: here.search }, { replace: true, state: { told: true } });
          }}
        >
          {textOf(says)}
        </button>
      )}
      {mending && <p className={styles['rescue-stands']}>{t('rescue.the-minutes-stand-still-take')}</p>}
      {children}
      {(mending || told) && <WhatIsLeft at={at} />}
      {end && (
        <button type="button" className="big-button" onClick={end.press}>
          {end.label}
        </button>
      )}
    </>
  );
}

/** Whether the pin is what is waited for. */
function fallsNow({ state }: LiveCook): boolean {
  const moves = state.now?.step.moves ?? [];
  return (moveOf(moves, 'leave') ?? moveOf(moves, 'pin-falls')) !== undefined;
}
