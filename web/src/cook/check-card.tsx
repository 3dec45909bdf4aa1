import { GRADES, soFar, type Grade } from '@hervir/core';
import type { ReactNode } from 'react';
import type { CookActions } from './actions';
import type { LiveCook } from './use-cook';
import { useMore } from './use-more';
import styles from './cook.module.css';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

/** The six grades as a fork finds them. Common practice. */
const FOUND: Readonly<Record<Grade, { readonly word: Message; readonly sign: Message }>> = {
  chewy: { word: say('cook.chewy'), sign: say('cook.springs-back') },
  firm: { word: say('cook.firm'), sign: say('cook.cuts-does-not-give') },
  slices: { word: say('cook.slices-clean'), sign: say('cook.holds-its-shape') },
  fork: { word: say('cook.fork-turns-easily'), sign: say('cook.tender') },
  pulls: { word: say('cook.pulls-apart'), sign: say('cook.squeezes-apart-bone-slides-out') },
  threads: { word: say('cook.falls-to-threads'), sign: say('cook.drier-in-a-lean-cut') },
};

interface Props {
  readonly cook: LiveCook;
  readonly actions: CookActions;
  readonly keysShown: boolean;
  /** What the fork finds, where that is not for the cook to say; null where it is. */
  readonly fork: Grade | null;
}

/** The check: what a piece is like, and what follows if it is not there yet. */
export function CheckCard({ cook, actions, keysShown, fork }: Props): ReactNode {
  const { state, now } = cook;
  const more = useMore(cook);
  const step = state.now?.step;
  if (!step) return null;
  const so = soFar(state, now);
  const short = state.found !== null;
  const { wanted } = cook.record.guide;
  const tell = (grade: Grade): void => actions.tell('checked', { step: step.id, grade });
  const backOn = (): void => {
    if (!more) return;
    const { minutes, reheatMinutes, releaseMinutes } = more;
    actions.tell('minutesAdded', { step: step.id, minutes, again: { reheatMinutes, releaseMinutes } });
  };
  return (
    <div className="check">
      {short ? (
        <>
          <p role="status">
            {textOf(more?.text ?? t('cook.reckoning-how-much-longer'))}
            {so === null ? t('cook.counted-from-the-plan') : ''}
          </p>
          <button type="button" className="big-button" disabled={more === null} onClick={backOn}>
            {more === null
              ? t('cook.lid-back-on-2')
              : more.minutes > 0
                ? t('cook.lid-back-on-for-min', { minutes: more.minutes })
                : t('cook.lid-back-on-up-to')}
            {keysShown && <kbd>{t('cook.space')}</kbd>}
          </button>
          <button type="button" className="pot-button" onClick={() => actions.done(step)}>
            {textOf(step.button)}
          </button>
        </>
      ) : (
        <button type="button" className="big-button" onClick={() => tell(fork ?? wanted)}>
          {fork === null
            ? t('cook.as-it-should-be', { word: FOUND[wanted].word })
            : `${textOf(FOUND[fork].word)}: ${textOf(FOUND[fork].sign)}`}
          {keysShown && <kbd>{t('cook.space')}</kbd>}
        </button>
      )}
      {fork === null && <Grades found={state.found} onFound={tell} />}
    </div>
  );
}

/** The six grades, each with its sign. */
function Grades({
  found,
  onFound,
}: {
  readonly found: Grade | null;
  readonly onFound: (grade: Grade) => void;
}): ReactNode {
  return (
    <div className={styles['grades']} role="group" aria-label={t('cook.what-is-it-like')}>
      {GRADES.map((grade) => (
        <button
          key={grade}
          type="button"
          className="pot-button grade"
          aria-pressed={found === grade}
          onClick={() => onFound(grade)}
        >
          <strong>{textOf(FOUND[grade].word)}</strong>
          <span>{textOf(FOUND[grade].sign)}</span>
        </button>
      ))}
    </div>
  );
}
