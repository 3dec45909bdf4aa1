import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { LineGeometry } from './geometry';

interface Props {
  readonly g: LineGeometry;
  readonly handle: LineGeometry['laterHandles'][number];
  readonly onDrop: (minutes: number) => void;
}

/** Nobody runs a later stage longer by hand, minutes. */
const LONGEST = 120;
const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
};
const clamp = (minutes: number): number => Math.min(LONGEST, Math.max(0, Math.round(minutes)));

/** The end of a run or a simmer after the first: dragged or moved with the arrow keys, as the first run's is. */
export function StageHandle({ g, handle, onDrop }: Props): ReactNode {
  const [dragged, setDragged] = useState<number | null>(null);
  const grip = useRef<{ readonly pointer: number; readonly from: number } | null>(null);
  const perMinute = g.x(1) - g.x(0);
  const shown = dragged ?? handle.minutes;
  const x = handle.x + (shown - handle.minutes) * perMinute;
  const under = (event: PointerEvent): number | null =>
    grip.current?.pointer === event.pointerId
      ? clamp(handle.minutes + (event.clientX - grip.current.from) / perMinute)
      : null;
  const onPointerDown = (event: PointerEvent<SVGGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { pointer: event.pointerId, from: event.clientX };
  };
  const onPointerEnd = (event: PointerEvent<SVGGElement>): void => {
    const wanted = under(event);
    grip.current = null;
    setDragged(null);
    if (wanted !== null && wanted !== handle.minutes) onDrop(wanted);
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>): void => {
    const step = STEPS[event.key];
    if (step !== undefined) onDrop(clamp(handle.minutes + step));
    else if (event.key === 'Home') onDrop(0);
    else return;
    event.preventDefault();
  };
  return (
    <g
      className="line-handle"
      role="slider"
      tabIndex={0}
      aria-label={`Minutes of ${handle.name.toLowerCase()}`}
      aria-valuemin={0}
      aria-valuemax={LONGEST}
      aria-valuenow={shown}
      aria-valuetext={`${Math.round(shown)} minutes`}
      onPointerDown={onPointerDown}
      onPointerMove={(event) => setDragged((before) => under(event) ?? before)}
      onPointerUp={onPointerEnd}
      onPointerCancel={onPointerEnd}
      onKeyDown={onKeyDown}
    >
      <rect x={x - 22} y={g.base - 64} width={44} height={30} fill="transparent" />
      <line x1={x} x2={x} y1={g.top - 4} y2={g.base} stroke="var(--ember)" strokeWidth={1.5} strokeDasharray="4 3" />
      <rect
        className="knob"
        x={x - 21}
        y={g.base - 62}
        width={42}
        height={26}
        rx={7}
        fill="var(--card)"
        stroke="var(--ember)"
      />
      <text x={x} y={g.base - 44} textAnchor="middle" style={{ fill: 'var(--ember)', fontWeight: 700 }}>
        {Math.round(shown)}
      </text>
    </g>
  );
}
