import {
  DndContext,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import { placeName, placeShort, textureWord, type Forecast, type Place, type StagedItem } from '@hervir/core';
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { MARKS } from '../shared/verdict';
import { pinned, placesOf } from './places';
import type { Edit } from './station';

interface Props {
  readonly forecast: Forecast;
  readonly edit: Edit;
}

/** Vegetables and grains in their stages: dragged to another, or moved there with the arrow keys. */
export function StageBoard({ forecast, edit }: Props): ReactNode {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const board = useRef<HTMLDivElement>(null);
  const moved = useRef<string | null>(null);
  useEffect(() => {
    if (moved.current === null) return;
    const chips = [...(board.current?.querySelectorAll<HTMLElement>('[data-portion]') ?? [])];
    chips.find(({ dataset }) => dataset['portion'] === moved.current)?.focus();
    moved.current = null;
  }, [forecast]);
  const items = forecast.stages.flatMap((stage) => stage.items);
  if (items.length === 0) return null;
  const { plan } = forecast;
  const places = placesOf(plan);
  const nameOf = (id: UniqueIdentifier): string => items.find(({ portion }) => portion === id)?.name ?? 'It';
  const called = (id: UniqueIdentifier): string => placeName(plan, id as Place).toLowerCase();
  const move = (item: StagedItem, place: Place): void => {
    // In its new place it is another button: the keyboard goes along.
    moved.current = item.portion;
    edit((before) => pinned(before, item.portion, place));
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        screenReaderInstructions: { draggable: 'Left and right arrow move it to another stage.' },
        announcements: {
          onDragStart: ({ active }) => `${nameOf(active.id)} is lifted.`,
          onDragOver: ({ active, over }) => (over ? `${nameOf(active.id)} is over ${called(over.id)}.` : undefined),
          onDragEnd: ({ active, over }) =>
            over ? `${nameOf(active.id)} goes in: ${called(over.id)}.` : `${nameOf(active.id)} stays where it was.`,
          onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
        },
      }}
      onDragEnd={({ active, over }) => {
        const item = items.find((one) => one.portion === active.id);
        if (item && over && over.id !== item.place) move(item, over.id as Place);
      }}
    >
      <div ref={board} className="stage-board" role="group" aria-label="Stages">
        {places.map((place) => (
          <Zone
            key={place}
            place={place}
            name={placeShort(plan, place)}
            minutes={forecast.stages.find((one) => one.place === place)?.minutes ?? 0}
          >
            {items
              .filter((item) => item.place === place)
              .map((item) => (
                <Chip
                  key={item.portion}
                  item={item}
                  places={places}
                  where={placeName(plan, item.place)}
                  onMove={(to) => move(item, to)}
                />
              ))}
          </Zone>
        ))}
      </div>
    </DndContext>
  );
}

function Zone({
  place,
  name,
  minutes,
  children,
}: {
  readonly place: Place;
  readonly name: string;
  readonly minutes: number;
  readonly children: ReactNode;
}): ReactNode {
  const { setNodeRef, isOver } = useDroppable({ id: place });
  return (
    <div ref={setNodeRef} className={`stage-zone${isOver ? ' over' : ''}`}>
      <span className="stage-name">
        {name}
        {minutes > 0 ? `, ${minutes} min` : ''}
      </span>
      <span className="stage-chips">{children}</span>
    </div>
  );
}

function Chip({
  item,
  places,
  where,
  onMove,
}: {
  readonly item: StagedItem;
  readonly places: readonly Place[];
  /** What its place is called. */
  readonly where: string;
  readonly onMove: (place: Place) => void;
}): ReactNode {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: item.portion });
  const step = (by: number): void => {
    const at = places.indexOf(item.place) + by;
    const to = places[(at + places.length) % places.length];
    if (to) onMove(to);
  };
  /** A grain that is as asked needs no word beside its name. */
  const told = item.vegetable !== undefined || !item.met;
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`stage-chip ${item.met ? 'met' : 'missed'}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 5 } : undefined}
      data-dragging={isDragging}
      data-portion={item.portion}
      {...listeners}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key === 'ArrowRight' || event.key === 'ArrowDown') step(1);
        else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') step(-1);
        else return;
        event.preventDefault();
      }}
    >
      <span aria-hidden>{MARKS[item.met ? 'fits' : 'wrong']} </span>
      {item.name}
      {told && ' '}
      {told && <small>{textureWord(item.texture)}</small>}
      <span className="visually-hidden">
        ({where.toLowerCase()}
        {item.met ? '' : ', not as asked'}; arrow keys move it)
      </span>
    </button>
  );
}
