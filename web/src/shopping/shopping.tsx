import { type Message, say, upperFirst } from '@hervir/language';
import type { BraiseRecord } from '@hervir/contract';
import { AISLES, roundTo, shoppingList, type Aisle, type ShoppingLine } from '@hervir/core';
import { useQueries } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { request } from '../api/client';
import { keys, useBraises } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useUnits } from '../shared/use-units';
import { dayWord } from '../shared/words';
import { useShopping } from '../state/shopping-store';
import styles from './shopping.module.css';
import { t, textOf } from '../language/t';
import { toastDone, toastTrouble } from '../shared/toast';

const AISLE_NAMES: Readonly<Record<Aisle, Message>> = {
  meat: say('shopping.meat'),
  greens: say('shopping.greens-and-roots'),
  dry: say('shopping.dry-tins-and-jars'),
  poured: say('shopping.to-pour'),
};

/** From so many grams on, tens are enough. */
const COARSE_FROM = 50;

type Amount = (line: ShoppingLine) => string;

/** How much of something: pieces first, for that is how it is bought. */
function useAmount(): Amount {
  const { print } = useUnits();
  return ({ pieces, grams, ml }) => {
    // A shop’s scale does not show more.
    const weight =
      grams !== null
        ? print('mass', roundTo(grams, grams < COARSE_FROM ? 1 : 10))
        : ml !== null
          ? print('volume', ml)
          : '';
    return pieces === null ? weight : t('shopping.about', { pieces, weight });
  };
}

/** The list as text, for a message or a note: what is ticked is left out. */
function asText(lines: readonly ShoppingLine[], ticked: ReadonlySet<string>, amount: Amount): string {
  return AISLES.flatMap((aisle) => {
    const own = lines.filter((line) => line.aisle === aisle && !ticked.has(line.id));
    return own.length === 0
      ? []
      : [
          `${textOf(AISLE_NAMES[aisle])}:`,
          ...own.map((line) => `- ${upperFirst(textOf(line.name))}: ${amount(line)}`),
          '',
        ];
  })
    .join('\n')
    .trim();
}

/** What to buy for the plans that are chosen: as sold, ticked where it is in the house, on paper, as text. */
export function ShoppingRoom(): ReactNode {
  const braises = useBraises();
  const { plans, ticked, buyFor, begin, tick } = useShopping();
  const [params, setParams] = useSearchParams();
  const amount = useAmount();
  const [today] = useState(() => new Date());
  const asked = params.get('plan');
  useEffect(() => {
    if (asked === null) return;
    begin([asked]);
    setParams({}, { replace: true });
  }, [asked, begin, setParams]);
  const kept = (braises.data ?? []).filter(({ unreadable }) => unreadable !== true);
  const chosen = kept.filter(({ id }) => plans.includes(id));
  const records = useQueries({
    queries: chosen.map(({ id, revision }) => ({
      queryKey: [...keys.braise(id), 'shopping', revision],
      queryFn: () => request<BraiseRecord>('GET', `/braises/${id}`),
    })),
    combine: (found) => found.flatMap(({ data }) => (data === undefined ? [] : [data])),
  });
  if (braises.error) {
    return (
      <div className="room">
        <Trouble
          what={t('shopping.the-list-cannot-be-shown')}
          error={braises.error}
          again={() => void braises.refetch()}
        />
      </div>
    );
  }
  const lines = shoppingList(records.map(({ plan }) => plan));
  const out = new Set(ticked);
  const several = records.length > 1;
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(asText(lines, out, amount));
      toastDone(t('shopping.the-list-is-copied'));
    } catch {
      toastTrouble(t('shopping.this-browser-does-not-let'));
    }
  };
  return (
    <div className="room">
      <h1>{t('app.what-to-buy')}</h1>
      <fieldset className={styles['shopping-plans']}>
        <legend>{t('shopping.for')}</legend>
        {braises.isPending ? (
          <p className="dim">{t('shopping.looking-for-plans')}</p>
        ) : kept.length === 0 ? (
          <p className="dim">{t('shopping.no-plans-yet-fill-the')}</p>
        ) : (
          kept.map(({ id, name, serveAt }) => (
            <Checkbox
              key={id}
              checked={plans.includes(id)}
              onChange={(event) =>
                buyFor(event.target.checked ? [...plans, id] : plans.filter((other) => other !== id))
              }
            >
              {name} {serveAt !== null && <small className="dim">{dayWord(serveAt, today)}</small>}
            </Checkbox>
          ))
        )}
      </fieldset>
      {lines.length > 0 && (
        <>
          <div className={styles['shopping-actions']}>
            <Button type="primary" onClick={() => void copy()}>
              {t('shopping.copy-as-text')}
            </Button>
            <Button onClick={() => window.print()}>{t('shopping.print')}</Button>
          </div>
          <div className={styles['shopping']}>
            {AISLES.filter((aisle) => lines.some((line) => line.aisle === aisle)).map((aisle) => (
              <section key={aisle} aria-label={textOf(AISLE_NAMES[aisle])}>
                <h2>{textOf(AISLE_NAMES[aisle])}</h2>
                <ul>
                  {lines
                    .filter((line) => line.aisle === aisle)
                    .map((line) => (
                      <li key={line.id} className={out.has(line.id) ? styles['ticked'] : ''}>
                        <Checkbox checked={out.has(line.id)} onChange={(event) => tick(line.id, event.target.checked)}>
                          <strong>{upperFirst(textOf(line.name))}</strong>{' '}
                          <span className="figure">{amount(line)}</span>
                          {several && (
                            <small className="dim">
                              {line.plans.map((at) => records[at]?.plan.name ?? '').join(', ')}
                            </small>
                          )}
                        </Checkbox>
                      </li>
                    ))}
                </ul>
              </section>
            ))}
          </div>
          <p className="dim">{t('shopping.as-sold-peel-trim-and')}</p>
        </>
      )}
      {lines.length === 0 && kept.length > 0 && !braises.isPending && (
        <p className="dim">
          {chosen.length === 0 ? t('shopping.choose-a-plan-to-buy') : t('shopping.looking-into-the-plans')}
        </p>
      )}
    </div>
  );
}
