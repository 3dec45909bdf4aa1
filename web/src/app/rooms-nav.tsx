import { Drawer } from 'antd';
import { useState, type ReactNode } from 'react';
import { NavLink, useLocation } from 'react-router';
import { isIn, ROOMS } from './rooms';
import styles from './rooms-nav.module.css';

/** The rooms: side by side where there is room; on a phone the four that a thumb needs, and a way to the others. */
export function RoomsNav(): ReactNode {
  const { pathname } = useLocation();
  // Open where it was opened: in another room it is shut.
  const [openAt, setOpenAt] = useState<string | null>(null);
  const open = openAt === pathname;
  const others = ROOMS.filter(({ thumb }) => !thumb);
  const elsewhere = others.find(({ path }) => isIn(pathname, path));
  return (
    <nav className="rail-rooms" aria-label="Rooms">
      {ROOMS.map(({ path, name, thumb }) => (
        <NavLink key={path} to={path} end={path === '/'} className={thumb ? '' : styles['other']}>
          {name}
        </NavLink>
      ))}
      <button
        type="button"
        className={styles['more']}
        aria-haspopup="dialog"
        aria-expanded={open}
        data-here={elsewhere !== undefined}
        onClick={() => setOpenAt(pathname)}
      >
        {elsewhere?.name ?? 'More'} <span aria-hidden>▴</span>
      </button>
      <Drawer title="More rooms" placement="bottom" size={300} open={open} onClose={() => setOpenAt(null)}>
        <ul className={styles['list']}>
          {others.map(({ path, name, what }) => (
            <li key={path}>
              <NavLink to={path}>
                <strong>{name}</strong> <span className="dim">{what}</span>
              </NavLink>
            </li>
          ))}
        </ul>
      </Drawer>
    </nav>
  );
}
