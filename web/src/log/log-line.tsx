import type { LogItem } from '@hervir/contract';
import { clsx } from 'clsx';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useUnits } from '../shared/use-units';
import styles from './log.module.css';
import { cameOut, cutName, lateWords, RESULT_WORDS } from './words';

/** One cook of the log in a line. */
export function LogLine({ item }: { readonly item: LogItem }): ReactNode {
  const { print } = useUnits();
  const { id, servedAt, name, cut, boughtG, cooker, result, pressure, lateMinutes, burns } = item;
  const off = [lateWords(lateMinutes), burns > 0 ? `■ ${burns === 1 ? 'burn error' : `${burns} burn errors`}` : ''];
  return (
    <li>
      <span className="figure dim log-when">{dayjs(servedAt).format('D MMM YYYY')}</span>
      <Link to={`/log/${id}`} className={styles['log-name']}>
        {name}
      </Link>
      <span className="dim">
        {print('mass', boughtG)} of {cutName(cut).toLowerCase()}, {cooker.replace(/^The /, 'the ')}
        {pressure.actual === null ? '' : `, ${Math.round(pressure.actual)} min`}
      </span>
      <span className={clsx(styles['log-result'], result)}>
        {RESULT_WORDS[result].slice(0, 2)}
        {cameOut(item)}
      </span>
      <span className={styles['log-off']}>{off.filter((text) => text !== '' && text !== 'on time').join(', ')}</span>
    </li>
  );
}
