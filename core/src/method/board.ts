import { gramsOf } from '../units/grams';
import { meatsOf } from '../plan/meats';
import { aromaticKind, type AromaticGroup } from '../catalog/aromatics';
import { grainById } from '../catalog/grains';
import type { Form } from '../catalog/cuts';
import type { Meat, Plan } from '../plan/plan';
import { isOnTheDay } from '../plan/cook-ahead';
import { portionAt, type Portion, type PortionId } from '../plan/portions';
import { isCured } from '../stations/sear';
import type { Move, ReadyHow } from './moves';

/** Common practice, minutes. */
const TRIM_MINUTES = 3;
const TAKE_MINUTES = 2;
const DRY_MINUTES = 1;
const SALT_MINUTES = 1;
const RINSE_MINUTES = 2;
const RUB_MINUTES = 2;
const UNMARINATE_MINUTES = 1;
const GRAIN_MINUTES = 1;
const MARINATE_MINUTES = 3;
const BOARD_SETUP_MINUTES = 1;
const GRAMS_A_MINUTE = 120;
/** Cutting speed, g a minute, where the cook does the cutting. Common practice. */
export const CUTTING: Readonly<Partial<Record<Form, number>>> = { chunks: 250, 'bite-size': 130, ribs: 600 };

/** A move at the board, and how long it takes a usual hand. */
export interface BoardMove {
  readonly move: Move;
  readonly minutes: number;
}

/** All that is done before anything is hot. */
export interface Board {
  readonly ahead: readonly BoardMove[];
  readonly vegetables: readonly BoardMove[];
  readonly meat: readonly BoardMove[];
  /** Cut while the pot works, on a washed board; empty where the cook cuts all before the meat. */
  readonly later: readonly BoardMove[];
}

/** Minutes at the board for what comes from a garden, by weight. Common practice. */
export function plantMinutes(grams: number): number {
  return grams > 0 ? BOARD_SETUP_MINUTES + grams / GRAMS_A_MINUTE : 0;
}

/** After raw meat: board, knife and hands, minutes. Common practice. */
const WASH_MINUTES = 2;

/** Places that are filled before the first lid goes on. */
const FROM_THE_START: ReadonlySet<string> = new Set(['start', 'flavour-only', 'auto']);

const AROMATIC_HOW: Readonly<Record<AromaticGroup, ReadyHow>> = {
  bones: 'weigh-out',
  base: 'wash-and-cut',
  warm: 'wash-and-cut',
  spice: 'weigh-out',
  garlic: 'wash-and-cut',
  leaf: 'wash',
};
/** Dry: there is nothing to wash. Common practice. */
const DRY: ReadonlySet<string> = new Set(['dried-herbs', 'whole-spice']);
/** Raw meat by another name: it never lies where the vegetables do. */
const MEATY: ReadonlySet<string> = new Set(['bacon', 'bones']);

const idsOf = (portions: readonly Portion[]): PortionId[] => portions.map(({ id }) => id);

function aromaticsOf(
  portions: readonly Portion[],
): { readonly portion: Portion; readonly how: ReadyHow; readonly meaty: boolean }[] {
  return portions
    .filter(({ kind }) => kind === 'aromatic')
    .map((portion) => {
      const { id, group } = aromaticKind(portion.food ?? '');
      return { portion, how: DRY.has(id) ? 'weigh-out' : AROMATIC_HOW[group], meaty: MEATY.has(id) };
    });
}

/** The moves at the vegetable board: grain, then what is washed and cut, then what is only weighed. */
function vegetableBoard(portions: readonly Portion[], later: readonly Portion[]): BoardMove[] {
  const moves: BoardMove[] = portions
    .filter(({ kind }) => kind === 'grain')
    .map((portion) => ({
      move: { kind: 'ready', how: grainById(portion.food ?? '').ready, board: 'none', portions: [portion.id] },
      minutes: GRAIN_MINUTES,
    }));
  const aromatics = aromaticsOf(portions).filter(({ meaty }) => !meaty);
  const garden = [
    ...portions.filter((portion) => portion.kind === 'vegetable' && !later.includes(portion)),
    ...aromatics.filter(({ how }) => how === 'wash-and-cut').map(({ portion }) => portion),
  ];
  const washed = aromatics.filter(({ how }) => how === 'wash').map(({ portion }) => portion);
  const weighed = [
    ...aromatics.filter(({ how }) => how === 'weigh-out').map(({ portion }) => portion),
    ...portions.filter(({ kind }) => kind === 'other'),
  ];
  const all = plantMinutes(gramsOf([...garden, ...washed, ...weighed]));
  const share = (some: readonly Portion[], how: ReadyHow): void => {
    if (some.length === 0) return;
    const whole = gramsOf([...garden, ...washed, ...weighed]);
    moves.push({
      move: { kind: 'ready', how, board: how === 'weigh-out' ? 'none' : 'vegetables', portions: idsOf(some) },
      minutes: whole > 0 ? (all * gramsOf(some)) / whole : 0,
    });
  };
  share(garden, 'wash-and-cut');
  share(washed, 'wash');
  share(weighed, 'weigh-out');
  return moves;
}

/** What is done to one cut: hours before, and tonight. */
function meatBoard(
  meat: Meat,
  index: number,
  portions: readonly Portion[],
): { ahead: BoardMove[]; tonight: BoardMove[] } {
  const own = portionAt(portions, 'meat', index);
  if (!own) return { ahead: [], tonight: [] };
  const portion = own.id;
  const marinade = portionAt(portions, 'marinade', index);
  const rub = portionAt(portions, 'rub', index);
  const frozen = meat.startsFrom === 'frozen';
  const ahead: BoardMove[] = [];
  const tonight: BoardMove[] = [];
  // What is marinated is trimmed and cut first; what is frozen was, before it went into the freezer.
  const shaped = marinade ? ahead : tonight;
  if (meat.thaw !== undefined && !frozen)
    ahead.push({ move: { kind: 'thaw', portion, way: meat.thaw }, minutes: TAKE_MINUTES });
  if (meat.salted === 'ahead' && !isCured(meat)) {
    ahead.push({ move: { kind: 'salt-ahead', portion, minutes: meat.saltedMinutes ?? null }, minutes: SALT_MINUTES });
  }
  if (isCured(meat)) tonight.push({ move: { kind: 'rinse', portion }, minutes: RINSE_MINUTES });
  if (!frozen && meat.trimGrams > 0) {
    shaped.push({ move: { kind: 'trim', portion, grams: meat.trimGrams }, minutes: TRIM_MINUTES });
  }
  const speed = CUTTING[meat.form];
  if (!frozen && speed !== undefined && meat.cutAfterSear !== true) {
    shaped.push({ move: { kind: 'cut', portion }, minutes: meat.grams / speed });
  }
  if (marinade && meat.marinade) {
    ahead.push({
      move: { kind: 'marinate', portion, marinade: marinade.id, hours: meat.marinade.hours },
      minutes: MARINATE_MINUTES,
    });
    tonight.unshift({
      move: {
        kind: 'unmarinate',
        portion,
        marinade: marinade.id,
        then: meat.marinade.then === 'thrown' ? 'thrown' : 'kept',
      },
      minutes: UNMARINATE_MINUTES,
    });
  }
  const rubbed = rubbedAhead(meat) && rub !== undefined;
  if (rubbed) ahead.push({ move: { kind: 'rub', portion, rub: rub.id }, minutes: RUB_MINUTES });
  // What lies on it all night is not wiped off.
  else tonight.push({ move: { kind: frozen ? 'wipe-ice' : 'dry', portion }, minutes: DRY_MINUTES });
  if (rub && !rubbed) tonight.push({ move: { kind: 'rub', portion, rub: rub.id }, minutes: RUB_MINUTES });
  if (meat.salted === 'just-before' && !isCured(meat)) {
    tonight.push({ move: { kind: 'salt', portion }, minutes: SALT_MINUTES });
  }
  return { ahead, tonight };
}

/** Whether a rub is left on before the evening: not under a marinade, nor on ice. */
export function rubbedAhead({ rub, marinade, startsFrom }: Meat): boolean {
  return (rub?.hours ?? 0) > 0 && marinade === null && startsFrom !== 'frozen';
}

/** Pulses that are soaked, and stock from the freezer. */
function othersAhead(plan: Plan, portions: readonly Portion[]): BoardMove[] {
  return portions.flatMap(({ id, kind, food, index }): BoardMove[] => {
    if (kind === 'grain' && food !== null && grainById(food).soaked) {
      return [{ move: { kind: 'soak', portion: id }, minutes: TAKE_MINUTES }];
    }
    const frozen = kind === 'liquid' && plan.liquids[index]?.frozen === true;
    return frozen ? [{ move: { kind: 'thaw', portion: id, way: 'fridge' }, minutes: TAKE_MINUTES }] : [];
  });
}

/**
 * What is done at the board, raw meat last: bacon and bones with it, and never where the vegetables lie.
 *
 * @param plan with every vegetable in its place
 * @param portions of the plan
 */
export function boardOf(plan: Plan, portions: readonly Portion[]): Board {
  const meats = meatsOf(plan).map((meat, i) => meatBoard(meat, i, portions));
  const meaty = aromaticsOf(portions).filter((one) => one.meaty);
  const later = portions.filter(({ kind, index }) => {
    const place = kind === 'vegetable' ? (plan.vegetables[index]?.place ?? '') : null;
    if (place === null) return false;
    return isOnTheDay(plan, place) || (plan.cutLater && plan.cookAhead === undefined && !FROM_THE_START.has(place));
  });
  return {
    ahead: [...meats.flatMap(({ ahead }) => ahead), ...othersAhead(plan, portions)],
    vegetables: vegetableBoard(portions, later),
    meat: [
      ...meaty.map(({ portion, how }): BoardMove => ({
        move: { kind: 'ready', how, board: 'meat', portions: [portion.id] },
        minutes: plantMinutes(portion.grams ?? 0),
      })),
      ...meats.flatMap(({ tonight }) => tonight),
    ],
    later:
      later.length === 0
        ? []
        : [
            {
              move: { kind: 'ready', how: 'wash-and-cut', board: 'vegetables', portions: idsOf(later) },
              minutes: WASH_MINUTES + plantMinutes(gramsOf(later)),
            },
          ],
  };
}
