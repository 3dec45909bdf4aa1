import type { ReactNode, SVGProps } from 'react';
import type { SectionGeometry } from './geometry';

/** How thick what sticks is drawn, px. */
export const STUCK_PX = { clean: 0, film: 2, fond: 5, 'sugar-crust': 7 } as const;

type Layer = 'liquid' | 'rack' | 'meat' | 'top' | 'base';

interface Props {
  readonly g: SectionGeometry;
  /** Colour of the base's heat. */
  readonly tone: string;
  readonly lid: boolean;
  readonly stuckPx: number;
  readonly words: Readonly<Record<'fill' | 'liquid' | 'minimum', string>>;
  /** What makes a layer something to press; drawn only where nothing is said. */
  readonly layers?: Readonly<Record<Layer, SVGProps<SVGGElement>>>;
}

/** The pot itself, cut open: walls, base, liquid, meat, what lies on top, what sticks, and the lines on its side. */
export function PotDrawing({ g, tone, lid, stuckPx, words, layers }: Props): ReactNode {
  const layer = (name: Layer): SVGProps<SVGGElement> => layers?.[name] ?? {};
  return (
    <>
      {g.liquidTop < g.floor - 0.5 && (
        <g {...layer('liquid')}>
          <rect
            x={g.left}
            y={g.liquidTop}
            width={g.right - g.left}
            height={g.floor - g.liquidTop}
            fill="var(--brass)"
            opacity={0.22}
          />
        </g>
      )}
      {g.rackY !== null && (
        <g {...layer('rack')}>
          <line x1={g.left + 4} x2={g.right - 4} y1={g.rackY} y2={g.rackY} stroke="var(--rim)" strokeWidth={2.5} />
          {[0.15, 0.5, 0.85].map((at) => {
            const x = g.left + at * (g.right - g.left);
            return <line key={at} x1={x} x2={x} y1={g.rackY ?? 0} y2={g.floor} stroke="var(--rim)" strokeWidth={2} />;
          })}
        </g>
      )}
      {g.pieces.length > 0 && (
        <g {...layer('meat')}>
          {g.pieces.map((piece, i) => (
            <rect
              key={i}
              x={piece.x}
              y={piece.y}
              width={piece.width}
              height={piece.height}
              rx={Math.min(10, piece.height / 3)}
              transform={`rotate(${piece.turn} ${piece.x + piece.width / 2} ${piece.y + piece.height / 2})`}
              fill="var(--meat)"
              fillOpacity={0.8}
              stroke="var(--rim)"
              strokeWidth={1.5}
            />
          ))}
        </g>
      )}
      {g.top && (
        <g {...layer('top')}>
          <rect
            x={g.left + 6}
            y={g.top.y}
            width={g.right - g.left - 12}
            height={g.top.height}
            rx={4}
            fill="var(--herb)"
            fillOpacity={0.55}
            stroke="var(--herb)"
          />
        </g>
      )}
      {stuckPx > 0.3 && (
        <rect
          x={g.left + 6}
          y={g.floor - stuckPx - 1}
          width={g.right - g.left - 12}
          height={stuckPx}
          rx={2}
          fill="var(--brass)"
        />
      )}
      <path
        d={`M${g.left - 10},${g.rim} H${g.left} V${g.floor - 8} q0,8 8,8 H${g.right - 8} q8,0 8,-8 V${g.rim} H${g.right + 10}`}
        fill="none"
        stroke="var(--rim)"
        strokeWidth={4}
        strokeLinecap="round"
        strokeLinejoin="round"
        pointerEvents="none"
      />
      {lid && (
        <path
          d={`M${g.left - 10},${g.rim - 5} H${g.right + 10} M${(g.left + g.right) / 2 - 12},${g.rim - 11} h24`}
          stroke="var(--rim)"
          strokeWidth={5}
          strokeLinecap="round"
          pointerEvents="none"
        />
      )}
      {g.marks.map(({ key, y, labelY }) => {
        const colour = key === 'fill' ? 'var(--ember)' : key === 'minimum' ? 'var(--steam)' : 'var(--brass)';
        const beyond = key === 'liquid' ? 0 : 6;
        return (
          <g key={key} pointerEvents="none">
            <line
              x1={g.left - beyond}
              x2={g.right + beyond}
              y1={y}
              y2={y}
              stroke={colour}
              strokeWidth={1.5}
              strokeDasharray={key === 'liquid' ? undefined : '5 4'}
            />
            <text x={g.right + 12} y={labelY + 4} fill={colour} style={{ fill: colour, fontWeight: 600 }}>
              {words[key]}
            </text>
          </g>
        );
      })}
      <g {...layer('base')}>
        <rect x={g.left + 4} y={g.floor + 8} width={g.right - g.left - 8} height={9} rx={4} fill={tone} />
      </g>
    </>
  );
}
