import { Drawer } from 'antd';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { ROOMS } from './rooms';
import styles from './rooms-nav.module.css';
import { t, textOf } from '../language/t';

/** The rooms that a thumb seldom needs, each with what it is for. */
export function MoreRooms({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }): ReactNode {
  return (
    <Drawer title={t('app.more-rooms')} placement="bottom" size={300} open={open} onClose={onClose}>
      <ul className={styles['list']}>
        {ROOMS.filter(({ thumb }) => !thumb).map(({ path, name, what }) => (
          <li key={path}>
            <NavLink to={path}>
              <strong>{textOf(name)}</strong> <span className="dim">{textOf(what)}</span>
            </NavLink>
          </li>
        ))}
      </ul>
    </Drawer>
  );
}
