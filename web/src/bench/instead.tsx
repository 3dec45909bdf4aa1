import { cutSubstitutes, liquidSubstitutes, liquidWord } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { changing, type StationProps } from './station';
import verdictsStyles from './verdicts.module.css';
import { t, textOf } from '../language/t';

/** What may be taken instead of a liquid or of the cut, and what that changes. */
export function Instead({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  const { meat } = plan;
  const change = changing(edit, 'meat');
  const liquids = [
    ...(plan.deglaze
      ? liquidSubstitutes(plan.deglaze.liquid).map((other) => ({
          ...other,
          of: t('bench.deglazing-with', { liquidWord: liquidWord(plan.deglaze?.liquid ?? 'stock') }),
          take: () =>
            edit((before) => ({ ...before, deglaze: before.deglaze && { ...before.deglaze, liquid: other.id } })),
        }))
      : []),
    ...plan.liquids.flatMap(({ liquid }, i) =>
      liquidSubstitutes(liquid).map((other) => ({
        ...other,
        of: liquidWord(liquid),
        take: () =>
          edit((before) => ({
            ...before,
            liquids: before.liquids.map((item, at) => (at === i ? { ...item, liquid: other.id } : item)),
          })),
      })),
    ),
  ];
  return (
    <>
      <h3>{t('bench.could-be-instead')}</h3>
      <ul>
        {liquids.map(({ id, name, changes, of, take }) => (
          <li key={`${textOf(of)}-${id}`}>
            <Button className={verdictsStyles['wrapping']} onClick={take}>
              {textOf(name)}
            </Button>{' '}
            <span className="field-note">{t('bench.for', { of, changes })}</span>
          </li>
        ))}
        {cutSubstitutes(meat).map(({ id, name, changes }) => (
          <li key={id}>
            <Button
              className={verdictsStyles['wrapping']}
              onClick={() => change({ cut: id, pieces: undefined, thicknessCm: undefined })}
            >
              {textOf(name)}
            </Button>{' '}
            <span className="field-note">{textOf(changes)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
