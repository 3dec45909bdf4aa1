/** Where a piece lies on the base: middle in cm from the base's middle, and how it is turned. */
export interface Placed {
  readonly x: number;
  readonly y: number;
  /** Along x and along y, cm. */
  readonly width: number;
  readonly height: number;
}

/** A batch on the base, seen from above. */
export interface BatchLayout {
  readonly placed: readonly Placed[];
  /** False where they touch, or reach over the edge. */
  readonly fits: boolean;
}

/** Air between pieces, so that steam gets away, cm. Common practice. */
const GAP_CM = 0.5;

interface Rows {
  readonly counts: readonly number[];
  readonly across: number;
  readonly along: number;
}

/** Width of a circle at the outer edge of a row, cm. */
function chord(radius: number, edge: number): number {
  return edge >= radius ? 0 : 2 * Math.sqrt(radius * radius - edge * edge);
}

/** As many rows as needed, symmetrical about the middle, each as full as its chord allows. */
function rowsOf(count: number, along: number, across: number, radius: number): Rows | null {
  for (let rows = 1; rows * across + (rows - 1) * GAP_CM <= 2 * radius; rows += 1) {
    const capacity = Array.from({ length: rows }, (_, r) => {
      const middle = (r - (rows - 1) / 2) * (across + GAP_CM);
      const width = chord(radius, Math.abs(middle) + across / 2);
      return Math.max(0, Math.floor((width + GAP_CM + 1e-9) / (along + GAP_CM)));
    });
    const total = capacity.reduce((sum, n) => sum + n, 0);
    if (total >= count) return { counts: shareOut(count, capacity), along, across };
  }
  return null;
}

/** Fills the emptiest row first, so that a batch lies evenly. */
function shareOut(count: number, capacity: readonly number[]): number[] {
  const counts = capacity.map(() => 0);
  for (let left = count; left > 0; left -= 1) {
    let best = -1;
    capacity.forEach((most, r) => {
      const filled = counts[r] as number;
      if (filled < most && (best < 0 || filled / most < (counts[best] as number) / (capacity[best] as number)))
        best = r;
    });
    counts[best] = (counts[best] as number) + 1;
  }
  return counts;
}

function place({ counts, along, across }: Rows, gap = GAP_CM): Placed[] {
  return counts.flatMap((n, r) =>
    Array.from({ length: n }, (_, i) => ({
      x: (i - (n - 1) / 2) * (along + gap),
      y: (r - (counts.length - 1) / 2) * (across + gap),
      width: along,
      height: across,
    })),
  );
}

/**
 * Lays a batch out on a round base in rows, with air between the pieces. Where they do not fit they are still laid, edge
 * to edge, so that a drawing shows the crowd.
 *
 * @param count pieces
 * @param face length and width of the face they lie on, cm
 * @param diameterCm of the base
 * @example layBatch(4, [6.5, 5], 22).fits // true
 */
export function layBatch(count: number, face: readonly [number, number], diameterCm: number): BatchLayout {
  const radius = diameterCm / 2;
  const [length, width] = face;
  const ways = [rowsOf(count, length, width, radius), rowsOf(count, width, length, radius)].filter(
    (rows): rows is Rows => rows !== null,
  );
  // The fewer rows, the rounder it lies.
  const best = ways.sort((a, b) => a.counts.length - b.counts.length)[0];
  if (best) return { placed: place(best), fits: true };
  const rows = Math.max(1, Math.round(Math.sqrt((count * length) / width)));
  const counts = Array.from({ length: rows }, (_, r) => Math.floor((count + r) / rows)).filter((n) => n > 0);
  return { placed: place({ counts, along: length, across: width }, 0), fits: false };
}
