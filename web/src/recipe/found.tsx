import { WHENS_OF, type RecipeLine, type RecipeReading, type RecipeWhen } from '@hervir/contract';
import { LIMITS } from '@hervir/core';
import { Select } from 'antd';
import { clsx } from 'clsx';
import { useState, type ReactNode } from 'react';
import { QuantityInput } from '../shared/quantity-input';
import styles from './from-recipe.module.css';
import { choices, valueOf, WHEN_WORDS } from './line-choices';
import { t, textOf } from '../language/t';
import { BY_NAME } from '../shared/by-name';

/** Whether a line is to be looked at: not understood, or with an amount that nobody said. */
const isUnsure = ({ as, guess, when }: RecipeLine): boolean =>
  (as.kind === 'unknown' && when === null) || (guess !== null && as.kind !== 'by-taste');

/** The lines with what is unsure first; they stay where they are while they are put right. */
function orderOf(lines: readonly RecipeLine[]): number[] {
  const places = lines.map((_, i) => i);
  const at = (unsure: boolean): number[] => places.filter((i) => isUnsure(lines[i] as RecipeLine) === unsure);
  return [...at(true), ...at(false)];
}

interface Corrections {
  readonly onCorrect: (i: number, value: string) => void;
  readonly onWeigh: (i: number, grams: number) => void;
  readonly onWhen: (i: number, when: RecipeWhen) => void;
}

interface Props extends Corrections {
  readonly reading: RecipeReading;
  /** What the cook has put right, by its place. */
  readonly said: Readonly<Record<string, unknown>>;
}

/** What was made of a recipe: its notes, every line beside what it was taken for, and its method. */
export function Found({ reading, said, ...corrections }: Props): ReactNode {
  const { name, servings, lines, method, notes } = reading;
  const written = lines.map(({ text }) => text).join('\n');
  const [order, setOrder] = useState(() => ({ written, places: orderOf(lines) }));
  if (order.written !== written) setOrder({ written, places: orderOf(lines) });
  return (
    <>
      <h2>
        {name === '' ? t('recipe.a-recipe-without-a-name') : name}
        {servings === null ? '' : t('recipe.for', { servings })}
      </h2>
      <ul className="reasons" aria-label={t('recipe.what-was-made-of-it')}>
        {notes.map((note) => (
          <li key={textOf(note)}>{textOf(note)}</li>
        ))}
      </ul>
      {lines.length > 0 && (
        <table className={clsx('plain-table', styles['recipe-lines'])} aria-label={t('recipe.ingredients')}>
          <thead>
            <tr>
              <th scope="col">{t('recipe.as-written')}</th>
              <th scope="col">{t('recipe.taken-for')}</th>
              <th scope="col">{t('recipe.how-much')}</th>
              <th scope="col">{t('recipe.goes-in')}</th>
            </tr>
          </thead>
          <tbody>
            {order.places.map((i) => {
              const line = lines[i];
              return (
                line && (
                  <LineRow key={`${i}-${line.text}`} i={i} line={line} said={String(i) in said} {...corrections} />
                )
              );
            })}
          </tbody>
        </table>
      )}
      {method.length > 0 && (
        <details className={styles['recipe-method']}>
          <summary>{t('recipe.its-method-with-the-times')}</summary>
          <ol>
            {method.map(({ text, found }, i) => (
              <li key={`${i}-${text}`}>
                {text} {found !== null && <strong>({textOf(found)})</strong>}
              </li>
            ))}
          </ol>
        </details>
      )}
    </>
  );
}

interface RowProps extends Corrections {
  readonly i: number;
  readonly line: RecipeLine;
  /** Put right by the cook. */
  readonly said: boolean;
}

/** One line of a recipe, and what it was taken for. */
function LineRow({ i, line, said, onCorrect, onWeigh, onWhen }: RowProps): ReactNode {
  const { text, as, grams, guess, when } = line;
  const whens = WHENS_OF[as.kind];
  const counts = as.kind === 'unknown' ? when !== null : as.kind !== 'by-taste' && as.kind !== 'heading';
  return (
    <tr className={as.kind === 'heading' ? styles['recipe-heading'] : undefined}>
      <td>{text}</td>
      <td>
        <Select
          aria-label={t('recipe.taken-for-2', { text })}
          showSearch={BY_NAME}
          value={valueOf(as)}
          options={choices().map(({ label, options }) => ({ label, options: [...options] }))}
          onChange={(value) => onCorrect(i, value)}
        />
      </td>
      <td>
        {counts && (
          <QuantityInput
            label={t('recipe.how-much-2', { text })}
            kind={as.kind === 'liquid' ? 'volume' : 'mass'}
            value={grams ?? undefined}
            range={LIMITS.recipeGrams}
            onChange={(value) => value !== undefined && onWeigh(i, value)}
          />
        )}
        {guess !== null && (
          <small className={isUnsure(line) ? clsx(styles['recipe-guess'], 'attention') : styles['recipe-guess']}>
            {isUnsure(line) ? '▲ ' : ''}
            {textOf(guess)}
          </small>
        )}
        {said && <small className={styles['recipe-guess']}>{t('recipe.as-you-said')}</small>}
      </td>
      <td>
        {whens && (
          <Select
            aria-label={t('recipe.goes-in-2', { text })}
            value={when}
            placeholder={t('recipe.not-in-the-pot')}
            popupMatchSelectWidth={220}
            options={whens.map((value) => ({ value, label: textOf(WHEN_WORDS[value]) }))}
            onChange={(value: RecipeWhen) => onWhen(i, value)}
          />
        )}
      </td>
    </tr>
  );
}
