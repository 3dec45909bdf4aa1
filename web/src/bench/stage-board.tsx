import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { textureWord, type Forecast, type Place, type StagedItem } from '@hervir/core';
import type { KeyboardEvent, ReactNode } from 'react';
import { MARKS } from '../shared/verdict';
import { pinned, PLACE_NAMES, PLACE_SHORT, PLACES_IN_ORDER } from './places';
import type { Edit } from './station';

interface Props {
  readonly forecast: Forecast;
  readonly edit: Edit;
}

const entryOf = (item: StagedItem): { kind: 'vegetable' | 'grain'; id: string } =>
  item.vegetable === undefined ? { kind: 'grain', id: item.grain ?? '' } : { kind: 'vegetable', id: item.vegetable };

/** Vegetables and grains in their stages: dragged to another, or moved there with the arrow keys. */
export function StageBoard({ forecast, edit }: Props): ReactNode {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const items = forecast.stages.flatMap((stage) => stage.items);
  if (items.length === 0) return null;
  const move = (item: StagedItem, place: Place): void => edit((before) => pinned(before, entryOf(item), place));
  return (
    <DndContext
      sensors={sensors}
      accessibility={{ screenReaderInstructions: { draggable: 'Left and right arrow move it to another stage.' } }}
      onDragEnd={({ active, over }) => {
        const item = items.find((one) => one.name === active.id);
        if (item && over && over.id !== item.place) move(item, over.id as Place);
      }}
    >
      <div className="stage-board" role="group" aria-label="Stages">
        {PLACES_IN_ORDER.map((place) => (
          <Zone key={place} place={place} minutes={forecast.stages.find((one) => one.place === place)?.minutes ?? 0}>
            {items
              .filter((item) => item.place === place)
              .map((item) => (
                <Chip key={item.name} item={item} onMove={(to) => move(item, to)} />
              ))}
          </Zone>
        ))}
      </div>
    </DndContext>
  );
}

function Zone({
  place,
  minutes,
  children,
}: {
  readonly place: Place;
  readonly minutes: number;
  readonly children: ReactNode;
}): ReactNode {
  const { setNodeRef, isOver } = useDroppable({ id: place });
  return (
    <div ref={setNodeRef} className={`stage-zone${isOver ? ' over' : ''}`}>
      <span className="stage-name">
        {PLACE_SHORT[place]}
        {minutes > 0 ? `, ${minutes} min` : ''}
      </span>
      <span className="stage-chips">{children}</span>
    </div>
  );
}

function Chip({ item, onMove }: { readonly item: StagedItem; readonly onMove: (place: Place) => void }): ReactNode {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: item.name });
  const step = (by: number): void => {
    const at = PLACES_IN_ORDER.indexOf(item.place) + by;
    const to = PLACES_IN_ORDER[(at + PLACES_IN_ORDER.length) % PLACES_IN_ORDER.length];
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
      {...listeners}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key === 'ArrowRight' || event.key === 'ArrowDown') step(1);
        else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') step(-1);
        else return;
        event.preventDefault();
      }}
    >
      <span aria-hidden>{MARKS[item.met ? 'fits' : 'wrong']}</span> {item.name}
      {told && <small>{textureWord(item.texture)}</small>}
      <span className="visually-hidden">
        ({PLACE_NAMES[item.place].toLowerCase()}
        {item.met ? '' : ', not as asked'}; arrow keys move it)
      </span>
    </button>
  );
}
