import { lowerFirst, type Message, say } from '@hervir/language';
import { type BurnerLevel, type CookerCommand, type Frame, LIMITS, type Plan, type SauteLevel } from '@hervir/core';
import { InputNumber } from 'antd';
import { useState, type ReactNode } from 'react';
import { clsx } from 'clsx';
import cookerPanelStyles from './cooker-panel.module.css';
import rehearseStyles from './rehearse.module.css';
import { t, textOf } from '../language/t';

const SAUTE: readonly (readonly [SauteLevel, Message])[] = [
  ['low', say('rehearse.low')],
  ['mid', say('rehearse.mid')],
  ['high', say('rehearse.high')],
];
const BURNER: readonly (readonly [BurnerLevel, Message])[] = [
  ['off', say('rehearse.off')],
  ['low', say('rehearse.low')],
  ['medium', say('rehearse.medium')],
  ['hold', say('rehearse.just-hisses')],
  ['full', say('rehearse.full')],
];

interface Props {
  readonly frame: Frame;
  readonly cooker: Plan['cooker'];
  /** Minutes to offer for a pressure run. */
  readonly minutes: number;
  readonly onCommand: (command: CookerCommand) => void;
  readonly disabled?: boolean;
}

/** The lid from above: its pin, its valve, and whether it is on. */
function Lid({ frame }: { readonly frame: Frame }): ReactNode {
  const open = frame.valve === 'open';
  const steam = open && frame.lid === 'on' && (frame.gaugeKPa > 0 || frame.phase === 'open') && frame.liquidC > 90;
  const on = frame.lid === 'on';
  return (
    <svg width={132} height={132} viewBox="0 0 132 132" aria-hidden className={cookerPanelStyles['lid']}>
      <circle
        cx={66}
        cy={66}
        r={60}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={on ? 5 : 1.5}
        strokeDasharray={on ? undefined : '4 6'}
      />
      {on && <circle cx={66} cy={66} r={50} fill="none" stroke="var(--rim)" strokeWidth={1.5} />}
      <circle
        cx={66}
        cy={40}
        r={9}
        fill={frame.pin ? 'var(--steam)' : 'none'}
        stroke="var(--steam)"
        strokeWidth={2.5}
      />
      <g transform={`rotate(${open ? 90 : 0} 66 84)`}>
        <rect x={60} y={70} width={12} height={32} rx={5} fill={open ? 'var(--brass)' : 'var(--rim)'} />
      </g>
      {steam && (
        <path d="M86,82 q8,-8 16,0 t16,0 M86,92 q8,-8 16,0 t16,0" fill="none" stroke="var(--steam)" strokeWidth={2.5} />
      )}
    </svg>
  );
}

const valveWord = (frame: Frame): string =>
  frame.valve === t('rehearse.open') ? t('rehearse.open') : t('rehearse.closed');

/** The controls of the simulated cooker: what a hand presses and turns, and what it shows. */
export function CookerPanel({ frame, cooker, minutes, onCommand, disabled = false }: Props): ReactNode {
  const [wanted, setWanted] = useState<number | null>(null);
  const electric = cooker.kind === 'electric';
  const run = wanted ?? minutes;
  const choice = (label: string, pressed: boolean, command: CookerCommand, name = label): ReactNode => (
    <button
      key={label}
      type="button"
      className={cookerPanelStyles['panel-key']}
      aria-pressed={pressed}
      aria-label={name}
      disabled={disabled}
      onClick={() => onCommand(command)}
    >
      {label}
    </button>
  );
  return (
    <section className={clsx('vessel', cookerPanelStyles['cooker-panel'])} aria-label={t('rehearse.the-cooker')}>
      <div className={cookerPanelStyles['panel-top']}>
        <Lid frame={frame} />
        <div className={cookerPanelStyles['panel-read']}>
          <p className={cookerPanelStyles['panel-name']}>{cooker.name}</p>
          {electric ? (
            <p
              className={clsx(cookerPanelStyles['panel-display'], frame.mode)}
              role="status"
              aria-label={t('rehearse.display')}
            >
              {textOf(frame.display === '' ? '––' : frame.display)}
            </p>
          ) : (
            <p
              className={clsx(cookerPanelStyles['panel-display'], cookerPanelStyles['burner'])}
              aria-label={t('rehearse.burner')}
            >
              {textOf(BURNER.find(([level]) => level === frame.level)?.[1] ?? t('rehearse.off'))}
            </p>
          )}
          <p className={cookerPanelStyles['panel-states']}>
            <span className={frame.pin ? 'on' : ''}>{frame.pin ? t('rehearse.pin-up') : t('rehearse.pin-down')}</span>
            <span className={frame.valve === 'open' ? 'attention' : ''}>
              {t('rehearse.valve', { valveWord: valveWord(frame) })}
            </span>
            <span>{t('rehearse.lid', { on: frame.lid === 'on' })}</span>
          </p>
        </div>
      </div>
      {electric ? (
        <>
          <div className="panel-row" role="group" aria-label={t('rehearse.saute')}>
            <span className="panel-label">{t('rehearse.saute')}</span>
            {SAUTE.map(([level, name]) =>
              choice(
                textOf(name),
                frame.mode === 'saute' && frame.level === level,
                { do: 'saute', level },
                t('rehearse.saute-2', { name: lowerFirst(textOf(name)) }),
              ),
            )}
          </div>
          <div className="panel-row" role="group" aria-label={t('rehearse.pressure')}>
            <span className="panel-label">{t('rehearse.pressure')}</span>
            <InputNumber
              aria-label={t('rehearse.minutes-under-pressure')}
              min={LIMITS.pressureMinutes.min}
              max={LIMITS.pressureMinutes.max}
              value={run}
              disabled={disabled}
              onChange={setWanted}
              suffix={t('rehearse.min')}
            />
            {choice(
              t('rehearse.start'),
              frame.mode === 'pressure',
              { do: 'pressure', minutes: run },
              t('rehearse.start-minutes-under-pressure', { run }),
            )}
          </div>
        </>
      ) : (
        <div
          className={clsx('panel-row', rehearseStyles['label-above'])}
          role="group"
          aria-label={t('rehearse.burner')}
        >
          <span className="panel-label">{t('rehearse.burner')}</span>
          {BURNER.map(([level, name]) =>
            choice(
              textOf(name),
              frame.level === level,
              { do: 'burner', level },
              t('rehearse.burner-2', { name: lowerFirst(textOf(name)) }),
            ),
          )}
        </div>
      )}
      <div className="panel-row">
        {electric && choice(t('rehearse.cancel'), false, { do: 'cancel' }, t('rehearse.cancel-what-runs'))}
        {electric &&
          choice(frame.keepWarm ? t('rehearse.keep-warm-on') : t('rehearse.keep-warm-off'), frame.keepWarm, {
            do: 'keepWarm',
            on: !frame.keepWarm,
          })}
        {choice(frame.valve === 'open' ? t('rehearse.close-valve') : t('rehearse.open-valve'), false, {
          do: 'valve',
          to: frame.valve === 'open' ? 'closed' : 'open',
        })}
        {choice(frame.lid === 'on' ? t('rehearse.open-lid') : t('rehearse.lock-lid'), false, {
          do: 'lid',
          to: frame.lid === 'on' ? 'off' : 'on',
        })}
      </div>
    </section>
  );
}
