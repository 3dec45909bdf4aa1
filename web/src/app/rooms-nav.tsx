import { Suspense, useState, type ReactNode } from 'react';
import { NavLink, useLocation } from 'react-router';
import { isIn, ROOMS } from './rooms';
import styles from './rooms-nav.module.css';
import { t, textOf } from '../language/t';
import { later } from '../shared/later';

/** Not in the first load: on a laptop it is never opened. */
const MoreRooms = later(() => import('./more-rooms').then((module) => module.MoreRooms));

/** The rooms: side by side where there is room; on a phone the four that a thumb needs, and a way to the others. */
export function RoomsNav(): ReactNode {
  const { pathname } = useLocation();
  // Open where it was opened: in another room it is shut.
  const [openAt, setOpenAt] = useState<string | null>(null);
  const elsewhere = ROOMS.find(({ path, thumb }) => !thumb && isIn(pathname, path));
  return (
    <nav className="rail-rooms" aria-label={t('app.rooms')}>
      {ROOMS.map(({ path, name, thumb }) => (
        <NavLink key={path} to={path} end={path === '/'} className={thumb ? '' : styles['other']}>
          {textOf(name)}
        </NavLink>
      ))}
      <button
        type="button"
        className={styles['more']}
        aria-haspopup="dialog"
        aria-expanded={openAt === pathname}
        data-here={elsewhere !== undefined}
        onClick={() => setOpenAt(pathname)}
      >
        {textOf(elsewhere?.name ?? t('app.more'))} <span aria-hidden>▴</span>
      </button>
      {openAt !== null && (
        <Suspense fallback={null}>
          <MoreRooms open={openAt === pathname} onClose={() => setOpenAt('')} />
        </Suspense>
      )}
    </nav>
  );
}
