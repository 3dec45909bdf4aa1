import { isCheck, sectionName, SECTIONS, type Grade } from '@hervir/core';
import type { ReactNode } from 'react';
import { countdown } from '../shared/words';
import type { CookActions } from './actions';
import { CheckCard } from './check-card';
import type { LiveCook } from './use-cook';
import styles from './cook.module.css';
import { rich, t, textOf } from '../language/t';

/** "Letting down, part 8 of 12". */
export function whereInWork({ state }: LiveCook): string {
  const parts = SECTIONS.filter((section) => state.steps.some(({ step }) => step.section === section));
  const step = state.now?.step;
  return step === undefined
    ? ''
    : t('cook.part-of', {
        sectionName: sectionName(step.section, step.run),
        part: parts.indexOf(step.section) + 1,
        parts: parts.length,
      });
}

const HOUR = 3_600_000;
/** Sooner is how pots differ, minutes. */
const PIN_LATE = 6;

/** How much later than reckoned the pin is, whole minutes; null while it is not late enough to look. */
function pinIsLate({ state, now }: LiveCook): number | null {
  const current = state.now;
  if (!current || current.dueAt === null || !current.step.moves.some(({ kind }) => kind === 'come-up')) return null;
  const late = Math.floor((now - current.dueAt) / 60_000);
  return late >= PIN_LATE ? late : null;
}

interface Props {
  readonly cook: LiveCook;
  readonly actions: CookActions;
  /** Single keys are on, so that they can be shown. */
  readonly keysShown: boolean;
  /** A line of the reckoning under the clock. */
  readonly aside: string | null;
  /** Where "Something’s wrong" leads. */
  readonly onWrong: () => void;
  /** What the fork finds, where that is not for the cook to say: in a rehearsal. */
  readonly fork?: Grade | null;
}

/** The one thing to do now, and the one big button that says it has happened. */
export function NowCard({ cook, actions, keysShown, aside, onWrong, fork = null }: Props): ReactNode {
  const { state, now } = cook;
  const current = state.now;
  if (!current) return null;
  const { step } = current;
  const timer = state.timers.find(({ id }) => id === step.id);
  const left = timer ? timer.endsAt - now : null;
  const over = left !== null && left < 0;
  const usual = Math.round(current.minutes);
  const ringing = timer?.rings === true;
  const check = isCheck(step);
  const pinLate = pinIsLate(cook);
  return (
    <section className={`vessel now-card ${over ? step.alarm : ''}`} aria-label={t('cook.now-3')}>
      <p className="now-part">{whereInWork(cook)}</p>
      <h1 className="now-title">{textOf(step.title)}</h1>
      {timer !== undefined && left !== null && step.counts ? (
        <p
          className={['now-clock', over ? 'over' : '', Math.abs(left) >= HOUR ? 'hours' : ''].join(' ').trim()}
          role="timer"
          aria-label={over ? t('cook.time-over') : t('cook.time-left')}
        >
          {countdown(left)}
          {over && <span className={styles['now-over']}>{t('cook.over')}</span>}
        </p>
      ) : (
        usual > 0 && !check && <p className="now-usual">{t('cook.about-min', { usual })}</p>
      )}
      {step.detail !== '' && <p className="now-detail">{textOf(step.detail)}</p>}
      {aside !== null && <p className="now-detail">{aside}</p>}
      {pinLate !== null && (
        <p className={styles['now-late']} role="status">
          {rich('cook.min-later-than-reckoned-is', { span: (words) => <span aria-hidden>{words}</span>, pinLate })}
        </p>
      )}
      {step.caution !== null && (
        <p className={styles['now-caution']} role="note">
          <span aria-hidden>▲ </span>
          {textOf(step.caution)}
        </p>
      )}
      <div className="now-buttons">
        {check ? (
          <CheckCard cook={cook} actions={actions} keysShown={keysShown} fork={fork} />
        ) : (
          <button type="button" className="big-button" onClick={() => actions.done(step)}>
            {textOf(step.button)}
            {keysShown && <kbd>{t('cook.space')}</kbd>}
          </button>
        )}
        <div className="now-others">
          {!check && (
            <button type="button" className="pot-button" onClick={() => actions.more()}>
              {t('cook.one-more-minute')}
            </button>
          )}
          {step.otherwise !== null ? (
            <button type="button" className="pot-button" onClick={() => actions.otherwise(step)}>
              {textOf(step.otherwise.button)}
            </button>
          ) : (
            !check && (
              <button
                type="button"
                className="pot-button"
                disabled={!ringing}
                title={t('cook.quiet-for-a-minute-nothing')}
                onClick={() => actions.notYet(step.id)}
              >
                {t('cook.not-yet-2')}
              </button>
            )
          )}
          <button type="button" className="pot-button wrong" onClick={onWrong}>
            {t('cook.somethings-wrong')}
          </button>
        </div>
      </div>
    </section>
  );
}
