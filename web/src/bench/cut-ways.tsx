import { lowerFirst, printDuration } from '@hervir/language';
import type { Alternative, Plan } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { MeltCurve } from '../shared/melt-curve';
import { longestOf, type MeltWay } from '../shared/melt-geometry';
import { useUnits } from '../shared/use-units';
import { FORM_NAMES, goodFor } from '../shared/words';
import type { Alternatives } from '../workers/forecast-more';
import styles from './cut-ways.module.css';
import type { Edit } from './station';
import verdictsStyles from './verdicts.module.css';
import { rich, t, textOf } from '../language/t';

const CURVE_HEIGHT = 52;

const wayOf = ({ form, curve, endMinute }: Alternative): MeltWay => ({
  key: form ?? '',
  curve,
  endMinute,
});

interface Props {
  readonly plan: Plan;
  readonly alternatives: Alternatives | null;
  readonly edit: Edit;
}

/** The same meat cut another way, side by side, each with how it gets tender. */
export function CutWays({ plan, alternatives, edit }: Props): ReactNode {
  if (alternatives === null) return <p className="dim">{t('bench.reckoning-the-other-ways')}</p>;
  const minutes = longestOf(alternatives.forms.map(wayOf));
  // A shank comes one way: there is no other to take.
  const name = alternatives.forms.length > 1 ? t('bench.cut-another-way') : t('bench.how-it-gets-tender');
  return (
    <section aria-label={name}>
      <h3 className={styles['title']}>{name}</h3>
      <ul className={styles['ways']}>
        {alternatives.forms.map((way) => (
          <CutWay key={way.form} way={way} cut={plan.meat.cut} target={plan.target} minutes={minutes} edit={edit} />
        ))}
      </ul>
    </section>
  );
}

function CutWay({
  way,
  cut,
  target,
  minutes,
  edit,
}: {
  readonly way: Alternative;
  readonly cut: string;
  readonly target: Plan['target'];
  readonly minutes: number;
  readonly edit: Edit;
}): ReactNode {
  const { print } = useUnits();
  const { form, chosen, pieces, thicknessCm, pressureMinutes, totalMinutes } = way;
  if (form === undefined) return null;
  return (
    <li className={styles['way']} aria-current={chosen}>
      <strong>{textOf(FORM_NAMES[form])}</strong>
      <span className="dim">
        {pieces === 1 ? t('bench.one-piece') : t('bench.pieces', { pieces })}, {print('length', thicknessCm)}
      </span>
      <span className={styles['minutes']}>
        {rich('bench.min-5', { pressureMinutes, span: (words) => <span className="figure">{words}</span> })}
      </span>
      <span className="dim">{t('bench.in-all', { duration: printDuration(totalMinutes) })}</span>
      <MeltCurve
        ways={[wayOf(way)]}
        target={target}
        height={CURVE_HEIGHT}
        minutes={minutes}
        label={t('bench.tender-after-minutes-under-pressure', { formNames: FORM_NAMES[form], pressureMinutes })}
      />
      <span className={styles['good']}>{textOf(goodFor({ cut, form }))}</span>
      {chosen ? (
        <span className="verdict fits">{t('bench.as-it-is')}</span>
      ) : (
        <Button
          className={verdictsStyles['wrapping']}
          onClick={() =>
            edit((before) => ({
              ...before,
              pressureMinutes: null,
              meat: { ...before.meat, form, pieces: undefined, thicknessCm: undefined },
            }))
          }
        >
          {t('bench.take', { formNames: lowerFirst(textOf(FORM_NAMES[form])) })}
        </Button>
      )}
    </li>
  );
}
