import type { LogItem } from '@hervir/contract';
import { clsx } from 'clsx';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useUnits } from '../shared/use-units';
import styles from './log.module.css';
import { cameOut, cutName, lateWords, RESULT_SHAPES, wasOnTime } from './words';
import { t } from '../language/t';

/** One cook of the log in a line. */
export function LogLine({ item }: { readonly item: LogItem }): ReactNode {
  const { print } = useUnits();
  const { id, servedAt, name, cut, boughtG, cooker, result, pressure, lateMinutes, burns } = item;
  const off = [
    lateMinutes === null || wasOnTime(lateMinutes) ? '' : lateWords(lateMinutes),
    burns > 0 ? `■ ${burns === 1 ? t('log.burn-error') : t('log.burn-errors', { burns })}` : '',
  ];
  return (
    <li>
      <span className="figure dim log-when">{dayjs(servedAt).format('D MMM YYYY')}</span>
      <Link to={`/log/${id}`} className={styles['log-name']}>
        {name}
      </Link>
      <span className="dim">
        {t('log.of-min', {
          mass: print('mass', boughtG),
          cutName: cutName(cut).toLowerCase(),
          cooker: cooker.replace(/^The /, 'the '),
          actual: pressure.actual === null,
          actual2: Math.round(pressure.actual ?? 0),
        })}
      </span>
      <span className={clsx(styles['log-result'], result)}>
        {RESULT_SHAPES[result]}
        {cameOut(item)}
      </span>
      <span className={styles['log-off']}>{off.filter((text) => text !== '').join(', ')}</span>
    </li>
  );
}
