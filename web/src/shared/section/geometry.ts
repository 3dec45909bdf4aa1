import type { Section } from '@hervir/core';
import { scaleLinear } from 'd3';

/** A piece of meat as it is drawn, px; turned a little so that it looks laid by hand. */
export interface DrawnPiece {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly turn: number;
}

/** A line across the pot with its words beside it. */
export interface Mark {
  readonly key: 'fill' | 'liquid' | 'minimum';
  readonly y: number;
  /** Where its label stands, kept clear of the others. */
  readonly labelY: number;
}

/** The section in px. */
export interface SectionGeometry {
  /** px a cm. */
  readonly scale: number;
  readonly left: number;
  readonly right: number;
  readonly floor: number;
  readonly rim: number;
  readonly liquidTop: number;
  readonly pieces: readonly DrawnPiece[];
  readonly rackY: number | null;
  readonly top: { readonly y: number; readonly height: number } | null;
  readonly marks: readonly Mark[];
}

/** Room for the words above and below the pot, and beside it, px. */
const PADDING = { top: 34, bottom: 42, left: 14, right: 74 };
/** Narrower than this the two temperatures stand below each other, px. */
export const NARROW = 300;
const SECOND_LINE = 16;
/** Labels keep this far apart, px. */
const LABEL_GAP = 17;
const GAP_CM = 0.35;

/** Pieces in rows that fill the height of the bed. */
function stack(section: Section, scale: number, left: number, width: number, floor: number): DrawnPiece[] {
  const { piece, rackCm } = section;
  if (!piece) return [];
  const long = Math.max(0.5, piece.lengthCm);
  const across = Math.max(1, Math.floor((section.diameterCm + GAP_CM) / (long + GAP_CM)));
  const bed = Math.max(section.bedCm, piece.heightCm);
  const rows = Math.max(1, Math.min(Math.ceil(piece.count / across), Math.round(bed / (piece.heightCm * 1.08))));
  const rise = rows > 1 ? (bed - piece.heightCm) / (rows - 1) : 0;
  const drawn: DrawnPiece[] = [];
  let left_ = piece.count;
  for (let row = 0; row < rows && left_ > 0; row += 1) {
    const here = Math.min(left_, across);
    left_ -= here;
    const free = section.diameterCm - here * long;
    const gap = free / (here + 1);
    for (let i = 0; i < here; i += 1) {
      const shift = row % 2 === 1 ? Math.min(gap, long / 2) * 0.5 : 0;
      const x = gap * (i + 1) + long * i + (i % 2 === 0 ? shift : -shift);
      const bottom = rackCm + row * rise;
      drawn.push({
        x: left + x * scale,
        y: floor - (bottom + piece.heightCm) * scale,
        width: long * scale,
        height: piece.heightCm * scale,
        turn: row === 0 ? 0 : ((row * 7 + i * 5) % 5) - 2,
      });
    }
  }
  return width > 0 ? drawn : [];
}

/** Moves labels apart, top to bottom, as little as it takes. */
function apart(marks: readonly Omit<Mark, 'labelY'>[]): Mark[] {
  let last = -Infinity;
  return [...marks]
    .sort((a, b) => a.y - b.y)
    .map((mark) => {
      last = Math.max(mark.y, last + LABEL_GAP);
      return { ...mark, labelY: last };
    });
}

/**
 * Lays the pot out in a box, to scale: the same px a cm across and up.
 *
 * @param section one stage, in cm
 * @param box px; room for words is left on the right, above and below
 */
export function sectionGeometry(
  section: Section,
  box: { readonly width: number; readonly height: number },
): SectionGeometry {
  const below = PADDING.bottom + (box.width < NARROW ? SECOND_LINE : 0);
  const high = box.height - PADDING.top - below;
  const wide = box.width - PADDING.left - PADDING.right;
  const scale = Math.max(1, Math.min(high / section.heightCm, wide / section.diameterCm));
  const floor = box.height - below;
  const up = scaleLinear([0, section.heightCm], [floor, floor - section.heightCm * scale]);
  const width = section.diameterCm * scale;
  const left = PADDING.left + Math.max(0, wide - width) / 2;
  const rim = up(section.heightCm);
  const pieces = stack(section, scale, left, width, floor);
  const highest = Math.min(floor, ...pieces.map(({ y }) => y));
  const liquid = Math.min(section.liquidCm, section.heightCm);
  const marks: Omit<Mark, 'labelY'>[] = [{ key: 'fill', y: up(section.fillLineCm) }];
  if (liquid > 0.05) marks.push({ key: 'liquid', y: up(liquid) });
  marks.push({ key: 'minimum', y: up(section.minimumLineCm) });
  return {
    scale,
    left,
    right: left + width,
    floor,
    rim,
    liquidTop: up(liquid),
    pieces,
    rackY: section.rackCm > 0 ? up(section.rackCm) : null,
    top:
      section.topCm > 0.05
        ? { y: highest - Math.max(4, section.topCm * scale), height: Math.max(4, section.topCm * scale) }
        : null,
    marks: apart(marks),
  };
}
