import { GRADES, soFar, type Grade } from '@hervir/core';
import type { ReactNode } from 'react';
import type { CookActions } from './actions';
import type { LiveCook } from './use-cook';
import { useMore } from './use-more';
import styles from './cook.module.css';

/** The six grades as a fork finds them. Common practice. */
const FOUND: Readonly<Record<Grade, { readonly word: string; readonly sign: string }>> = {
  chewy: { word: 'Chewy', sign: 'springs back' },
  firm: { word: 'Firm', sign: 'cuts, does not give' },
  slices: { word: 'Slices clean', sign: 'holds its shape' },
  fork: { word: 'Fork turns easily', sign: 'tender' },
  pulls: { word: 'Pulls apart', sign: 'squeezes apart, bone slides out' },
  threads: { word: 'Falls to threads', sign: 'drier in a lean cut' },
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
            {more?.text ?? 'Reckoning how much longer…'}
            {so === null ? ' Counted from the plan.' : ''}
          </p>
          <button type="button" className="big-button" disabled={more === null} onClick={backOn}>
            {more === null
              ? 'Lid back on'
              : more.minutes > 0
                ? `Lid back on for ${more.minutes} min`
                : 'Lid back on: up to pressure and down again'}
            {keysShown && <kbd>Space</kbd>}
          </button>
          <button type="button" className="pot-button" onClick={() => actions.done(step)}>
            {step.button}
          </button>
        </>
      ) : (
        <button type="button" className="big-button" onClick={() => tell(fork ?? wanted)}>
          {fork === null ? `${FOUND[wanted].word}: as it should be` : `${FOUND[fork].word}: ${FOUND[fork].sign}`}
          {keysShown && <kbd>Space</kbd>}
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
    <div className={styles['grades']} role="group" aria-label="What is it like">
      {GRADES.map((grade) => (
        <button
          key={grade}
          type="button"
          className="pot-button grade"
          aria-pressed={found === grade}
          onClick={() => onFound(grade)}
        >
          <strong>{FOUND[grade].word}</strong>
          <span>{FOUND[grade].sign}</span>
        </button>
      ))}
    </div>
  );
}
