import { WHENS_OF, type RecipeLine, type RecipeReading, type RecipeWhen } from '@hervir/contract';
import { LIMITS } from '@hervir/core';
import { Select } from 'antd';
import { clsx } from 'clsx';
import { useState, type ReactNode } from 'react';
import { QuantityInput } from '../shared/quantity-input';
import styles from './from-recipe.module.css';
import { CHOICES, valueOf, WHEN_WORDS } from './line-choices';

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
        {name === '' ? 'A recipe without a name' : name}
        {servings === null ? '' : `, for ${servings}`}
      </h2>
      <ul className="reasons" aria-label="What was made of it">
        {notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
      {lines.length > 0 && (
        <table className={clsx('plain-table', styles['recipe-lines'])} aria-label="Ingredients">
          <thead>
            <tr>
              <th scope="col">As written</th>
              <th scope="col">Taken for</th>
              <th scope="col">How much</th>
              <th scope="col">Goes in</th>
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
          <summary>Its method, with the times that were found</summary>
          <ol>
            {method.map(({ text, found }, i) => (
              <li key={`${i}-${text}`}>
                {text} {found !== null && <strong>({found})</strong>}
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
          aria-label={`Taken for: ${text}`}
          showSearch={{ optionFilterProp: 'label' }}
          value={valueOf(as)}
          options={CHOICES.map(({ label, options }) => ({ label, options: [...options] }))}
          onChange={(value) => onCorrect(i, value)}
        />
      </td>
      <td>
        {counts && (
          <QuantityInput
            label={`How much: ${text}`}
            kind={as.kind === 'liquid' ? 'volume' : 'mass'}
            value={grams ?? undefined}
            range={LIMITS.recipeGrams}
            onChange={(value) => value !== undefined && onWeigh(i, value)}
          />
        )}
        {guess !== null && (
          <small className={isUnsure(line) ? clsx(styles['recipe-guess'], 'attention') : styles['recipe-guess']}>
            {isUnsure(line) ? '▲ ' : ''}
            {guess}
          </small>
        )}
        {said && <small className={styles['recipe-guess']}>● as you said</small>}
      </td>
      <td>
        {whens && (
          <Select
            aria-label={`Goes in: ${text}`}
            value={when}
            placeholder="not in the pot"
            popupMatchSelectWidth={220}
            options={whens.map((value) => ({ value, label: WHEN_WORDS[value] }))}
            onChange={(value: RecipeWhen) => onWhen(i, value)}
          />
        )}
      </td>
    </tr>
  );
}
