import { DndContext, PointerSensor, useDroppable, useSensor, useSensors, type UniqueIdentifier } from '@dnd-kit/core';
import type { Place } from '@hervir/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { useUnits } from '../../shared/use-units';
import { Chip, chipId } from './chip';
import { Lane } from './lane';
import { isChosen, isShown, placesFor, type Chosen, type LaneItem, type LaneOf } from './lane-items';
import styles from './lanes.module.css';
import { t } from '../../language/t';

interface Props {
  readonly lanes: readonly LaneOf[];
  readonly chosen: Chosen | null;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onMove: (item: LaneItem, place: Place) => void;
  readonly onMinutes: (place: Place, minutes: number) => void;
}

/** The keyboard goes along with what it has moved: in its new lane it is another button. */
function useFocusAlong(lanes: readonly LaneOf[]): {
  readonly board: React.RefObject<HTMLDivElement | null>;
  readonly follow: (item: LaneItem) => void;
} {
  const board = useRef<HTMLDivElement>(null);
  const moved = useRef<string | null>(null);
  useEffect(() => {
    if (moved.current === null) return;
    const chips = [...(board.current?.querySelectorAll<HTMLElement>('[data-portion]') ?? [])];
    chips.find(({ dataset }) => dataset['portion'] === moved.current)?.focus();
    moved.current = null;
  }, [lanes]);
  return { board, follow: (item) => (moved.current = chipId(item)) };
}

/** The stages as lanes of minutes: what goes in is dragged from one to another, and each stage's end along its own. */
export function Lanes({ lanes, chosen, onChoose, onMove, onMinutes }: Props): ReactNode {
  const { print } = useUnits();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const { board, follow } = useFocusAlong(lanes);
  const items = lanes.flatMap((lane) => lane.items);
  const itemOf = (id: UniqueIdentifier): LaneItem | undefined => items.find((one) => chipId(one) === id);
  const nameOf = (id: UniqueIdentifier): string => itemOf(id)?.name ?? t('bench.it');
  const called = (id: UniqueIdentifier): string => lanes.find(({ place }) => place === id)?.name.toLowerCase() ?? '';
  const open = ({ kind, index }: LaneItem): void => onChoose({ kind, index });
  const move = (item: LaneItem, place: Place): void => {
    follow(item);
    // What becomes of it there is told by its fields.
    open(item);
    onMove(item, place);
  };
  const chip = (item: LaneItem): ReactNode => (
    <Chip
      key={chipId(item)}
      item={item}
      amount={print('mass', item.grams)}
      places={placesFor(item, lanes)}
      where={called(item.place)}
      open={isChosen(chosen, item)}
      onOpen={() => open(item)}
      onMove={(to) => move(item, to)}
    />
  );
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        screenReaderInstructions: { draggable: t('bench.left-and-right-arrow-move') },
        announcements: {
          onDragStart: ({ active }) => t('bench.is-lifted', { nameOf: nameOf(active.id) }),
          onDragOver: ({ active, over }) =>
            over ? t('bench.is-over', { nameOf: nameOf(active.id), called: called(over.id) }) : undefined,
          onDragEnd: ({ active, over }) =>
            over
              ? t('bench.goes-in', { nameOf: nameOf(active.id), called: called(over.id) })
              : t('bench.stays-where-it-was', { nameOf: nameOf(active.id) }),
          onDragCancel: ({ active }) => t('bench.stays-where-it-was', { nameOf: nameOf(active.id) }),
        },
      }}
      onDragEnd={({ active, over }) => {
        const item = itemOf(active.id);
        if (item && over && over.id !== item.place && placesFor(item, lanes).includes(over.id as Place)) {
          move(item, over.id as Place);
        }
      }}
    >
      <div ref={board} className={styles['lanes']} role="group" aria-label={t('bench.stages')}>
        {lanes.filter(isShown).map((lane) => (
          <Lane
            key={lane.place}
            lane={lane}
            open={chosen?.kind === 'stage' && chosen.place === lane.place}
            onOpen={() => onChoose({ kind: 'stage', place: lane.place })}
            onMinutes={(minutes) => onMinutes(lane.place, minutes)}
            chip={chip}
          />
        ))}
        {items.length > 0 && (
          <div className={styles['elsewhere']}>
            {lanes
              .filter((lane) => !isShown(lane))
              .map(({ place, short }) => (
                <Elsewhere key={place} place={place} name={short} />
              ))}
          </div>
        )}
      </div>
    </DndContext>
  );
}

/** A stage that has nothing yet: somewhere to drop. */
function Elsewhere({ place, name }: { readonly place: Place; readonly name: string }): ReactNode {
  const { setNodeRef, isOver } = useDroppable({ id: place });
  return (
    <span ref={setNodeRef} className={styles['drop']} data-over={isOver}>
      {name}
    </span>
  );
}
