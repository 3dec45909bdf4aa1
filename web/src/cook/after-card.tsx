import { printDuration } from '@hervir/language';
import { delaysOf, endsInFridge, isTheDay, LIMITS, SECTION_WORDS, SECTIONS } from '@hervir/core';
import { Button, Input } from 'antd';
import { Suspense, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { QuantityInput } from '../shared/quantity-input';
import { clockAt } from '../shared/words';
import type { CookActions } from './actions';
import { delayWords } from './delay-words';
import { driftWords, ON_TIME } from './drift-words';
import type { LiveCook } from './use-cook';
import styles from './cook.module.css';
import { rich, t } from '../language/t';
import { later } from '../shared/later';

/** Wanted once a meal. */
const KeepLeft = later(() => import('../kept/keep-left').then((module) => module.KeepLeft));

const isSection = (cause: string): boolean => (SECTIONS as readonly string[]).includes(cause);

/** It is on the table: how it went, what it weighed, a word for next time. */
export function AfterCard({ cook, actions }: { readonly cook: LiveCook; readonly actions: CookActions }): ReactNode {
  const { state, record } = cook;
  const navigate = useNavigate();
  const [note, setNote] = useState('');
  const off = state.took.filter(({ planned, actual }) => Math.abs(actual - planned) >= 1);
  const keepNote = (): void => {
    if (note.trim() === '') return;
    actions.tell('note', { text: note.trim().slice(0, 2000) });
    setNote('');
  };
  const kept = endsInFridge(record.guide);
  const finished = state.status === 'finished';
  return (
    <section className="vessel now-card" aria-label={t('cook.served')}>
      <p className="now-part">{kept ? t('cook.put-away') : t('cook.served')}</p>
      <h1 className="now-title">
        {t('cook.in-the-fridge-on-the', {
          kept,
          time: clockAt(state.dinner.at, record.guide.eatAt),
          driftWords: driftWords(state.dinner),
        })}
      </h1>
      <ul className="reasons">
        {off.length === 0 && <li>{t('cook.every-part-of-the-work')}</li>}
        {off.map(({ section, planned, actual }) => (
          <li key={section}>
            {t('cook.planned', {
              sectionWords: SECTION_WORDS[section],
              duration: printDuration(actual),
              planned: printDuration(planned),
            })}
          </li>
        ))}
        {(state.dinner.driftMinutes < ON_TIME ? [] : delaysOf(state, record.guide))
          .filter(({ cause }) => cause === 'start' || !isSection(cause))
          .map((delay) => (
            <li key={delay.cause}>{delayWords(delay, state)}</li>
          ))}
        {state.burns > 0 && <li>{t('cook.burn-errors', { burns: state.burns })}</li>}
      </ul>
      <div className={styles['after-fields']}>
        {!isTheDay(record.guide) && (
          <label>
            {rich('cook.cooked-meat-weighed-2', {
              quantityInput: (
                <QuantityInput
                  label={t('cook.cooked-meat-weighed')}
                  kind="mass"
                  value={state.weights.cooked}
                  range={LIMITS.meatGrams}
                  onChange={(grams) => grams !== undefined && actions.tell('weighed', { what: 'cooked', grams })}
                />
              ),
            })}
          </label>
        )}
        <label>
          {rich('cook.a-word-for-next-time-2', {
            textArea: (
              <Input.TextArea
                aria-label={t('cook.a-word-for-next-time')}
                rows={2}
                maxLength={2000}
                value={note}
                onChange={(event) => setNote(event.target.value)}
                onBlur={keepNote}
              />
            ),
          })}
        </label>
      </div>
      <div className="now-buttons">
        {finished ? (
          <Button size="large" onClick={() => void navigate('/')}>
            {t('app.back-to-tonight')}
          </Button>
        ) : (
          <button
            type="button"
            className="big-button"
            onClick={() => {
              keepNote();
              actions.tell('finished');
              void navigate('/');
            }}
          >
            {t('cook.close-this-cook')}
          </button>
        )}
        {/* Under the button: what is written moves nothing that a finger is on its way to. */}
        {state.notes.length > 0 && (
          <ul className="reasons" aria-label={t('cook.words-for-next-time')}>
            {state.notes.map(({ event, text }) => (
              <li key={event} className="note">
                {text}
              </li>
            ))}
          </ul>
        )}
        {!kept && (
          <Suspense fallback={null}>
            <KeepLeft name={record.name} plan={record.plan} now={new Date(cook.now)} />
          </Suspense>
        )}
        <p className="dim">{t('cook.leftovers-into-shallow-containers-and')}</p>
      </div>
    </section>
  );
}
