import { COOKER_SETS, EXERCISE_LIST, LIMITS, type Cooker, type CookerSet } from '@hervir/core';
import { Button } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { request } from '../api/client';
import { keys, queryClient, useCookers, useRehearsals, useSaveSettings, useSettings } from '../api/queries';
import { useStartRehearsal } from '../rehearse/use-start';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { usualUnits } from '../shared/usual-units';
import { usePreferences } from '../state/preferences';
import { clsx } from 'clsx';
import styles from './first-steps.module.css';
import { rich, t, textOf } from '../language/t';
import { type Message, say, type UnitSystem } from '@hervir/language';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

/** A kitchen high up, where minutes grow by a fifth, m: a figure that is round as it is read. */
const HIGH_M: Readonly<Record<UnitSystem, number>> = { metric: 1500, us: 1524 };

/** What a kitchen that is new here does first: each step changes the answer above, or shows how a cook goes. */
export function FirstSteps(): ReactNode {
  const { print } = useUnits();
  const cookers = useCookers().data;
  const settings = useSettings().data;
  const rehearsals = useRehearsals().data;
  const save = useSaveSettings();
  const { kitchenSaid, sayKitchen, endFirstSteps } = usePreferences();
  const pot = cookers?.[0]?.cooker.name ?? null;
  const high = kitchenSaid || (settings?.kitchen.altitudeM ?? 0) !== 0;
  const rehearsed = (rehearsals ?? []).length > 0;
  const known = cookers !== undefined && settings !== undefined && rehearsals !== undefined;
  const over = known && pot !== null && high && rehearsed;
  useEffect(() => {
    if (over) endFirstSteps();
  }, [over, endFirstSteps]);
  if (!known || over) return null;
  return (
    <section className={clsx('vessel', 'panel', styles['first-steps'])} aria-label={t('tonight.first-steps')}>
      <div className={styles['first-head']}>
        <h2>{t('tonight.new-here-three-things-and')}</h2>
        <Button type="text" onClick={endFirstSteps}>
          {t('tonight.not-now')}
        </Button>
      </div>
      {usualUnits(navigator.languages) === 'us' && settings.units === 'metric' && (
        <p className={styles['first-units']}>
          {rich('tonight.grams-and-centimetres-or-as', {
            button: (words) => <Button onClick={() => save.mutate({ ...settings, units: 'us' })}>{words}</Button>,
          })}
        </p>
      )}
      <ol>
        <Step title={t('tonight.which-pot-is-yours')} done={pot}>
          <PotStep />
        </Step>
        <Step
          title={t('tonight.how-high-is-your-kitchen')}
          done={high ? print('altitude', settings.kitchen.altitudeM) : null}
        >
          <HeightStep onDone={sayKitchen} />
        </Step>
        <Step title={t('tonight.go-through-it-once-without')} done={rehearsed ? 'rehearsed' : null}>
          <RehearseStep />
        </Step>
      </ol>
    </section>
  );
}

function Step({
  title,
  done,
  children,
}: {
  readonly title: string;
  /** What was said; null while it is open. */
  readonly done: string | null;
  readonly children: ReactNode;
}): ReactNode {
  return (
    <li>
      <h3>{title}</h3>
      {done === null ? (
        children
      ) : (
        <p className={styles['first-done']}>
          <span aria-hidden>● </span>
          {done}
        </p>
      )}
    </li>
  );
}

const KINDS: readonly (readonly [Cooker['kind'], Message])[] = [
  ['electric', say('tonight.electric')],
  ['stovetop', say('tonight.stovetop')],
];

function PotStep(): ReactNode {
  const { print } = useUnits();
  const [busy, setBusy] = useState(false);
  const take = async ({ name, cooker }: CookerSet): Promise<void> => {
    setBusy(true);
    try {
      await request('POST', '/cookers', { ...cooker, name: textOf(name) });
      await queryClient.invalidateQueries({ queryKey: keys.cookers });
    } catch (error) {
      toastTrouble(t('shared.not-kept', { why: whyOf(error) }));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      {KINDS.map(([kind, word]) => (
        <div key={kind} className={styles['first-choices']} role="group" aria-label={textOf(word)}>
          <span className={styles['first-kind']}>{textOf(word)}</span>
          {COOKER_SETS.filter(({ cooker }) => cooker.kind === kind).map((set) => (
            <Button
              key={set.id}
              disabled={busy}
              aria-label={`${textOf(set.name)}, ${print('capacity', set.cooker.litres)}`}
              onClick={() => void take(set)}
            >
              {print('capacity', set.cooker.litres)}
            </Button>
          ))}
        </div>
      ))}
      <p className="field-note">
        {rich('tonight.take-the-nearest-what-its', { link: (words) => <Link to="/cookers">{words}</Link> })}
      </p>
    </>
  );
}

function HeightStep({ onDone }: { readonly onDone: () => void }): ReactNode {
  const settings = useSettings().data;
  const { print, system } = useUnits();
  const save = useSaveSettings();
  const [typed, setTyped] = useState(0);
  const keep = (altitudeM: number): void => {
    if (!settings) return;
    save.mutate({ ...settings, kitchen: { ...settings.kitchen, altitudeM } }, { onSuccess: onDone });
  };
  return (
    <>
      <div className={styles['first-choices']}>
        <QuantityInput
          label={t('tonight.altitude-of-the-kitchen')}
          kind="altitude"
          value={typed}
          range={LIMITS.altitudeM}
          onChange={(value) => {
            setTyped(value ?? 0);
            keep(value ?? 0);
          }}
        />
        <Button onClick={() => keep(typed)} disabled={save.isPending}>
          {t('tonight.keep-it')}
        </Button>
      </div>
      {save.error && <p role="alert">{t('tonight.not-kept-2', { message: save.error.message })}</p>}
      <p className="field-note">
        {t('tonight.thin-air-lets-the-pot', { altitude: print('altitude', HIGH_M[system]) })}
      </p>
    </>
  );
}

function RehearseStep(): ReactNode {
  const { start, busy } = useStartRehearsal();
  const [first] = EXERCISE_LIST;
  if (first === undefined) return null;
  return (
    <>
      <div className={styles['first-choices']}>
        <Button disabled={busy} onClick={() => void start({ exercise: first.id })}>
          {t('tonight.rehearse', { name: first.name })}
        </Button>
      </div>
      <p className="field-note">{t('tonight.a-simulated-cooker-two-minutes')}</p>
    </>
  );
}
