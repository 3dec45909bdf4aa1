import { say, type Text } from '@hervir/language/message';
import { grainById } from '../catalog/grains';
import { vegetableById, type Vegetable } from '../catalog/vegetables';
import { ConductionBody } from '../physics/conduction/body';
import { cookRate, straightCookValue } from '../physics/cook-value';
import { CookingBody } from '../physics/cooking-body';
import type { Stretch } from '../pot/pressure-run';

/** What a vegetable is like. The first is what nobody asks for. */
export const DONENESS = ['raw', 'crisp', 'tender', 'soft', 'into-the-sauce'] as const;
export type Doneness = (typeof DONENESS)[number];
/** What a grain is like. */
export const GRAIN_DONENESS = ['hard', 'cooked', 'falls-apart'] as const;
export type GrainDoneness = (typeof GRAIN_DONENESS)[number];

/** A texture in the middle of a sentence: "into the sauce". */
export function textureWord(texture: Doneness | GrainDoneness): Text {
  return say(`texture.${texture}`);
}

/** Vegetables are mostly water, W/m K and m²/s; in boiling liquid, W/m² K; from the kitchen, °C. Common practice. */
const CONDUCTIVITY = 0.55;
const DIFFUSIVITY = 1.45e-7;
const SURFACE = 800;
const START_C = 18;
/** Modes a direction: three keep a vegetable's mean within 1.5 % of eight after a three-minute run (measured). */
const MODES = 3;

/** Textures as multiples of the window of ordinary boiling. Common practice. */
const CRISP_FROM = 0.4;
const TENDER_FROM = 0.9;
const SOFT_FROM = 1.6;
const SAUCE_FROM = { sturdy: 12, tender: 6 } as const;

/** A vegetable as the pot sees it, cut to a size. */
function bodyOf(vegetable: Vegetable, sizeCm: number): CookingBody {
  const half = sizeCm / 200;
  const wide = half * vegetable.aspectRatio;
  const solid = { kind: 'brick', halfDimensions: [wide, wide, half] } as const;
  const medium = { conductivity: CONDUCTIVITY, diffusivity: DIFFUSIVITY, surface: SURFACE };
  return new CookingBody(new ConductionBody(solid, medium, START_C, MODES), 1);
}

/** A vegetable on its way through a pot, step by step; it can be copied to try what comes next. */
export function vegetableRider(id: string, sizeCm: number): CookingBody {
  return bodyOf(vegetableById(id), sizeCm);
}

/** A body whose middle is this far from its surroundings warms fast: its cook value wants short steps. */
const SETTLING: readonly (readonly [number, number])[] = [
  [10, 30],
  [1, 60],
];

/** Longest step that keeps the cook value within 1 %, s. */
function longestStep(body: CookingBody, surroundingsC: number): number {
  const gap = Math.abs(surroundingsC - body.coreC);
  return SETTLING.find(([kelvin]) => gap > kelvin)?.[1] ?? Number.POSITIVE_INFINITY;
}

/** Takes something along through a stretch of the pot's history. */
export function advanceThrough(body: CookingBody, history: readonly Stretch[]): CookingBody {
  for (const { seconds, fromC, toC } of history) {
    for (let done = 0; seconds - done > 1e-6;) {
      const step = Math.min(seconds - done, longestStep(body, fromC));
      const at = (share: number): number => fromC + (toC - fromC) * share;
      body.advance(step, at(done / seconds), at((done + step) / seconds));
      done += step;
    }
  }
  return body;
}

/**
 * Mean cook value that a vegetable collects.
 *
 * @param id of the catalog
 * @param sizeCm smallest dimension
 * @param history of the pot around it
 * @returns minutes at 100 °C
 * @example vegetableCookValue('carrot', 2.5, [{ seconds: 900, fromC: 100, toC: 100, phase: 'open' }]) // 9.6
 */
export function vegetableCookValue(id: string, sizeCm: number, history: readonly Stretch[]): number {
  return advanceThrough(vegetableRider(id, sizeCm), history).meanCookValue();
}

const windows = new Map<string, readonly [number, number]>();
/** Boiling is followed in steps of this, s. */
const BOIL_STEP = 30;

/**
 * What a vegetable collects in its ordinary boiling time at its usual size: the window that textures are multiples of, so
 * that any cook can check the table.
 *
 * @returns minutes at 100 °C, just tender and as soft as is still good
 * Accuracy: the prototype's windows within 5 % (tests).
 * @example boilWindow('potato-waxy')[0] // 5.7
 */
export function boilWindow(id: string): readonly [number, number] {
  const known = windows.get(id);
  if (known) return known;
  const vegetable = vegetableById(id);
  const body = bodyOf(vegetable, vegetable.usualCm);
  const [low, high] = vegetable.boilMinutes;
  const boil = (minutes: number): number => {
    for (let left = minutes * 60; left > 1e-6; left -= BOIL_STEP) body.advance(Math.min(BOIL_STEP, left), 100, 100);
    return body.meanCookValue();
  };
  const window = [boil(low), boil(high - low)] as const;
  windows.set(id, window);
  return window;
}

/**
 * The cook values between which a vegetable has a texture.
 *
 * @returns from, up to
 * @example textureWindow('carrot', 'tender')[1] // 15.4
 */
export function textureWindow(id: string, texture: Doneness): readonly [number, number] {
  const [low, high] = boilWindow(id);
  const sauce = high * (vegetableById(id).sturdy ? SAUCE_FROM.sturdy : SAUCE_FROM.tender);
  switch (texture) {
    case 'raw':
      return [0, CRISP_FROM * low];
    case 'crisp':
      return [CRISP_FROM * low, TENDER_FROM * low];
    case 'tender':
      return [TENDER_FROM * low, SOFT_FROM * high];
    case 'soft':
      return [SOFT_FROM * high, sauce];
    case 'into-the-sauce':
      return [sauce, Number.POSITIVE_INFINITY];
  }
}

/**
 * What a vegetable is like after a cook value.
 *
 * @example vegetableTexture('carrot', 8.7) // 'tender'
 */
export function vegetableTexture(id: string, cookValue: number): Doneness {
  return DONENESS.find((texture) => cookValue < textureWindow(id, texture)[1]) ?? 'into-the-sauce';
}

/**
 * Cook value of something small, as hot as its liquid: grain, beans, noodles.
 *
 * @example grainCookValue([{ seconds: 600, fromC: 100, toC: 100, phase: 'open' }]) // 10
 */
export function grainCookValue(history: readonly Stretch[]): number {
  return history.reduce((sum, { seconds, fromC, toC }) => sum + straightCookValue(seconds / 60, fromC, toC), 0);
}

/**
 * What a grain is like after a cook value.
 *
 * @example grainTexture('freekeh', 20) // 'cooked'
 */
export function grainTexture(id: string, cookValue: number): GrainDoneness {
  const [from, to] = grainWindow(id);
  if (cookValue < from) return 'hard';
  return cookValue <= to ? 'cooked' : 'falls-apart';
}

/**
 * Cook values between which a grain is cooked.
 *
 * @param id of the catalog
 * @returns from and to, minutes at 100 °C
 * @throws RangeError for a grain that is not in the catalog
 * @example grainWindow('freekeh')[0] // 18
 */
export function grainWindow(id: string): readonly [number, number] {
  const { boilMinutes, fallsApartAt } = grainById(id);
  return [boilMinutes[0], fallsApartAt];
}

/** How far a simmer is followed, minutes. */
const LONGEST_SIMMER = 150;

/**
 * Minutes of open simmering that bring something to a texture: a little past where it begins, so that a minute either
 * way does no harm.
 *
 * @param kind vegetable or grain
 * @param id of the catalog
 * @param texture wanted; grains only cook
 * @param sizeCm of a vegetable
 * @param liquidC of the simmer
 * @returns whole minutes; null where it would take more than two hours and a half
 * @example simmerMinutes('grain', 'freekeh', 'tender', 0, 100) // 19
 */
export function simmerMinutes(
  kind: 'vegetable' | 'grain',
  id: string,
  texture: Doneness,
  sizeCm: number,
  liquidC: number,
): number | null {
  if (kind === 'grain') {
    const [cooked, fallsApart] = grainWindow(id);
    const wanted = Math.min(cooked * 1.05, (cooked + fallsApart) / 2);
    const minutes = Math.ceil(wanted / cookRate(liquidC));
    return minutes > LONGEST_SIMMER ? null : minutes;
  }
  const [from, to] = textureWindow(id, texture);
  const aim = Number.isFinite(to) ? Math.min(from * 1.15, (from + to) / 2) : from;
  const body = vegetableRider(id, sizeCm);
  for (let minutes = 1; minutes <= LONGEST_SIMMER; minutes += 1) {
    body.advance(60, liquidC, liquidC);
    if (body.meanCookValue() >= aim) return minutes;
  }
  return null;
}
