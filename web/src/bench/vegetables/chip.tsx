import { useDraggable } from '@dnd-kit/core';
import { textureWord, type Place } from '@hervir/core';
import type { KeyboardEvent, ReactNode } from 'react';
import { MARKS } from '../../shared/verdict';
import type { LaneItem } from './lane-items';
import styles from './lanes.module.css';
import { t, textOf } from '../../language/t';

/** By what a chip is known to what is dragged. */
export const chipId = ({ kind, index }: Pick<LaneItem, 'kind' | 'index'>): string => `${kind}-${index}`;

interface Props {
  readonly item: LaneItem;
  /** How much of it, in the cook's units. */
  readonly amount: string;
  readonly places: readonly Place[];
  /** What its place is called. */
  readonly where: string;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onMove: (place: Place) => void;
}

/** Something that goes in: dragged to another stage or moved there with the arrow keys; pressed, it is opened beside. */
export function Chip({ item, amount, places, where, open, onOpen, onMove }: Props): ReactNode {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: chipId(item) });
  const step = (by: number): void => {
    const at = places.indexOf(item.place) + by;
    const to = places[(at + places.length) % places.length];
    if (to) onMove(to);
  };
  const { staged } = item;
  const met = staged?.met ?? true;
  /** A grain that is as asked needs no word beside its name. */
  const told = staged !== undefined && (staged.vegetable !== undefined || !met);
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={styles['chip']}
      data-met={met}
      data-open={open}
      aria-pressed={open}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 5 } : undefined}
      data-dragging={isDragging}
      data-portion={chipId(item)}
      {...listeners}
      onClick={onOpen}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key === 'ArrowRight' || event.key === 'ArrowDown') step(1);
        else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') step(-1);
        else return;
        event.preventDefault();
      }}
    >
      <span aria-hidden>{MARKS[met ? 'fits' : 'wrong']} </span>
      {item.name}
      {told && ' '}
      {told && <small>{textOf(textureWord(staged.texture))}</small>}
      <span className="visually-hidden">
        {t('bench.not-as-asked-arrow-keys', { where: where.toLowerCase(), met })}
      </span>{' '}
      <small className={styles['amount']}>{amount}</small>
    </button>
  );
}
