import { lowerFirst } from '@hervir/language';
import { inTen, placeName, type Plan, type StagedItem, textureWord } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useUnits } from '../../shared/use-units';
import { Verdict } from '../../shared/verdict';
import { windowWords } from './lane-geometry';
import type { LaneItem } from './lane-items';
import stagesStyles from '../stages.module.css';
import verdictsStyles from '../verdicts.module.css';
import { t, textOf } from '../../language/t';

interface Props {
  readonly plan: Plan;
  readonly item: StagedItem;
  readonly window: LaneItem['window'];
  readonly onSize?: (cm: number) => void;
}

/** What an item comes to where it is, in which minutes it would, what it would be elsewhere, and the size that is right. */
export function Outcome({ plan, item, window, onSize }: Props): ReactNode {
  const { print } = useUnits();
  const size = item.sizeCm > 0 ? t('bench.cut-to', { length: print('length', item.sizeCm) }) : '';
  const { suggestedSizeCm } = item;
  return (
    <div className={stagesStyles['outcome']}>
      <Verdict tone={item.met ? 'fits' : 'wrong'}>
        {textOf(placeName(plan, item.place))}: {textOf(textureWord(item.texture))}
        {item.met && item.chance !== null ? ` (${textOf(inTen(item.chance))})` : ''}
        {size}
        {item.minutesBeforeEnd === null ? '' : t('bench.min-9', { minutesBeforeEnd: item.minutesBeforeEnd })}
        {item.missingMl > 0 ? t('bench.of-water-missing', { volume: print('volume', item.missingMl) }) : ''}
      </Verdict>
      {window && window.from !== null && (
        <span className="field-note">{t('bench.as-asked-here', { windowWords: windowWords(window) })}</span>
      )}
      <span className="field-note">
        {t('bench.elsewhere', {
          list: item.elsewhere
            .map(
              ({ place, texture }) => `${lowerFirst(textOf(placeName(plan, place)))}, ${textOf(textureWord(texture))}`,
            )
            .join('; '),
        })}
      </span>
      {!item.met && onSize && suggestedSizeCm !== null && (
        <Button className={verdictsStyles['wrapping']} onClick={() => onSize(suggestedSizeCm)}>
          {t('bench.cut-it-to', { length: print('length', suggestedSizeCm) })}
        </Button>
      )}
    </div>
  );
}
