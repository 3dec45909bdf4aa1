import type { LearntView } from '@hervir/contract';
import { TENTH } from '@hervir/core';
import { Button, Popconfirm, Switch } from 'antd';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { learntWords } from '../shared/calibration-words';
import { rich, t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

/** Fewer cooks do not say how far one is from the next. */
const ENOUGH = 3;

/** What cooks have taught, each with how many it rests on; used or not, and forgotten where it is wrong. */
export function LearntList({ learnt }: { readonly learnt: readonly LearntView[] }): ReactNode {
  const change = async (work: () => Promise<unknown>): Promise<void> => {
    try {
      await work();
      await queryClient.invalidateQueries({ queryKey: keys.learnt });
    } catch (error) {
      toastTrouble(whyOf(error));
    }
  };
  return (
    <ul className="learnt">
      {learnt.map((one) => {
        const path = `/learning/${encodeURIComponent(one.key)}`;
        const [low, high] = one.range.map((factor) => `${Math.round(factor * 100)} %`);
        return (
          <li key={one.key}>
            <span>
              {learntWords(one)}
              <small className="dim">
                {rich('cookers.between-and-of-the-table', {
                  low,
                  high,
                  cooks: one.cooks,
                  few: one.cooks >= ENOUGH,
                  tenth: Math.round(TENTH * one.apart * 100),
                })}
              </small>
            </span>
            <label className="learnt-use">
              {rich('cookers.use-it-2', {
                switch: (
                  <Switch
                    size="small"
                    aria-label={t('cookers.use-it', { learntWords: learntWords(one) })}
                    checked={!one.off}
                    onChange={(on) => void change(() => request('PUT', path, { off: !on }))}
                  />
                ),
              })}
            </label>
            <Popconfirm
              title={t('cookers.forget-this')}
              description={t('cookers.it-begins-again-at-the')}
              okText={t('cookers.forget-it')}
              onConfirm={() => void change(() => request('DELETE', path))}
            >
              <Button type="text" aria-label={t('cookers.forget-2', { learntWords: learntWords(one) })}>
                {t('cookers.forget')}
              </Button>
            </Popconfirm>
          </li>
        );
      })}
    </ul>
  );
}
