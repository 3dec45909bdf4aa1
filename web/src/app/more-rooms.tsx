import { Drawer } from 'antd';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { ROOMS } from './rooms';
import styles from './rooms-nav.module.css';

/** The rooms that a thumb seldom needs, each with what it is for. */
export function MoreRooms({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }): ReactNode {
  return (
    <Drawer title="More rooms" placement="bottom" size={300} open={open} onClose={onClose}>
      <ul className={styles['list']}>
        {ROOMS.filter(({ thumb }) => !thumb).map(({ path, name, what }) => (
          <li key={path}>
            <NavLink to={path}>
              <strong>{name}</strong> <span className="dim">{what}</span>
            </NavLink>
          </li>
        ))}
      </ul>
    </Drawer>
  );
}
