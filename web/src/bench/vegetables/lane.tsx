import { useDroppable } from '@dnd-kit/core';
import { LIMITS } from '@hervir/core';
import type { ReactNode } from 'react';
import { LONGEST_LATER } from '../../shared/line/stage-handle';
import { MINUTE_KEYS, useMinutes, withinMinutes } from '../../shared/line/use-minutes';
import { useWidth } from '../../shared/use-width';
import { isWithin, laneScale, windowBar, windowWords, type LaneScale } from './lane-geometry';
import { LaneHandle } from './lane-handle';
import type { LaneItem, LaneOf } from './lane-items';
import styles from './lanes.module.css';
import { t } from '../../language/t';

interface Props {
  readonly lane: LaneOf;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onMinutes: (minutes: number) => void;
  /** The chip of something in this lane. */
  readonly chip: (item: LaneItem) => ReactNode;
}

/** One stage as a lane: its minutes as an end that is dragged, and under it what goes in, each with its window. */
export function Lane({ lane, open, onOpen, onMinutes, chip }: Props): ReactNode {
  const { setNodeRef, isOver } = useDroppable({ id: lane.place });
  const [track, width] = useWidth();
  const scale = laneScale(lane);
  const most = lane.place === 'start' ? LIMITS.pressureMinutes.max : LONGEST_LATER;
  const { dragged, handlers } = useMinutes({
    value: lane.minutes ?? 0,
    clamp: withinMinutes(most),
    perPixel: width > 0 ? scale.minutes / width : 0,
    keys: MINUTE_KEYS,
    onDrop: onMinutes,
  });
  const minutes = dragged ?? lane.minutes;
  const timed = lane.minutes !== null;
  return (
    <section ref={setNodeRef} className={styles['lane']} data-over={isOver} aria-label={lane.name}>
      <div className={styles['head']}>
        {timed && lane.place !== 'start' ? (
          <button type="button" className={styles['name']} aria-pressed={open} onClick={onOpen}>
            {lane.name} <span aria-hidden>›</span>
          </button>
        ) : (
          <span className={styles['name']}>{lane.name}</span>
        )}
        <div ref={track} className={styles['axis']}>
          {timed && (
            <LaneHandle
              name={lane.name}
              minutes={minutes ?? 0}
              most={most}
              left={scale.at(minutes ?? 0)}
              fixed={lane.fixed}
              handlers={handlers}
            />
          )}
        </div>
        <span aria-hidden />
      </div>
      {lane.items.map((item) => (
        <div key={`${item.kind}-${item.index}`} className={styles['row']}>
          {chip(item)}
          <ItemTrack item={item} scale={scale} minutes={landsAt(item, lane, dragged)} />
        </div>
      ))}
    </section>
  );
}

/** Where something lands: what waits for its own minute in a simmer keeps it until the stage is dragged. */
const landsAt = ({ window }: LaneItem, { minutes }: LaneOf, dragged: number | null): number =>
  dragged ?? window?.minutes ?? minutes ?? 0;

function ItemTrack({
  item: { name, window },
  scale,
  minutes,
}: {
  readonly item: LaneItem;
  readonly scale: LaneScale;
  readonly minutes: number;
}): ReactNode {
  if (!window) return <span className={styles['untimed']} />;
  const bar = windowBar(scale, window);
  const fits = isWithin(window, minutes);
  return (
    <>
      <span className={styles['track']} aria-hidden>
        {bar && <span className={styles['window']} style={{ left: `${bar.left}%`, width: `${bar.width}%` }} />}
        <span className={styles['mark']} data-fits={fits} style={{ left: `${scale.at(minutes)}%` }} />
      </span>
      <span className={styles['words']} data-fits={fits}>
        <span className="visually-hidden">{t('bench.is-as-asked-at', { name })}</span>
        {windowWords(window)}
      </span>
    </>
  );
}
