import { Tabs } from 'antd';
import type { ReactNode } from 'react';
import { MARKS } from '../shared/verdict';
import styles from './rail.module.css';
import type { StationHead, StationKey } from './station-heads';

interface Props {
  readonly heads: readonly StationHead[];
  readonly open: StationKey;
  readonly onOpen: (station: StationKey) => void;
  /** The panel of the station that is open. */
  readonly children: ReactNode;
}

/** The seven stations, each with its verdict, and under them the panel of the one that is open. */
export function Rail({ heads, open, onOpen, children }: Props): ReactNode {
  return (
    <Tabs
      className={styles['rail']}
      activeKey={open}
      onChange={(key) => onOpen(key as StationKey)}
      destroyOnHidden
      tabBarGutter={0}
      items={heads.map((head) => ({
        key: head.key,
        label: (
          <span className="station-head" title={head.summary}>
            <span className="title">{head.title}</span>
            <span className={`verdict ${head.tone}`}>
              <span aria-hidden>{MARKS[head.tone]}</span> {head.verdict}
            </span>
          </span>
        ),
        children: head.key === open ? children : null,
      }))}
    />
  );
}
