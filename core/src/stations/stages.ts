import type { Text } from '@hervir/language/message';
import { grainById } from '../catalog/grains';
import { vegetableById } from '../catalog/vegetables';
import type { CookingBody } from '../physics/cooking-body';
import { portionsOf, type PortionId } from '../plan/portions';
import type { Plan, Release, StageId, StageKind, TEXTURES } from '../plan/plan';
import { cookRate } from '../physics/cook-value';
import { stageOf } from '../plan/stage-settings';
import { textureOdds } from './texture-odds';
import type { Stretch } from '../pot/pressure-run';
import { SECOND_MINUTES, type SecondRunTrial } from '../pot/later-stage';
import {
  grainCookValue,
  grainTexture,
  grainWindow,
  advanceThrough,
  simmerMinutes,
  textureWindow,
  vegetableCookValue,
  vegetableRider,
  vegetableTexture,
  type Doneness,
  type GrainDoneness,
} from './doneness';

/** Where something goes: from the start, for its flavour alone, or a stage by its id. */
export type Place = StageId;
type Wanted = (typeof TEXTURES)[number];

/** Sizes a vegetable may be cut to, over its usual one. */
const SIZES: readonly number[] = [0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.15, 1.3, 1.5, 1.75, 2];
/** Of these the pot is asked; the cook value of the others lies between on a log-log line, within 2 %. */
const ASKED: readonly number[] = [0.5, 0.75, 1, 1.4, 2];
const BETWEEN_ERROR = 0.02;
/** A long run forgives large pieces, and off the heat nobody cuts a vegetable to crumbs. */
const SIZES_FROM_START: readonly number[] = [1, 1.3, 1.75];
const SIZES_OFF_HEAT: readonly number[] = [0.8, 1, 1.25];
/** A pan of its own is the last resort: it counts like three stages. */
const FOLDED_STAGES = 3;
/** These smell when they cook long. Common practice. */
const STRONG: ReadonlySet<string> = new Set(['cauliflower', 'broccoli', 'brussels-sprout']);
/** Within this of the edge of a window it is in it, minutes at 100 °C. */
const WITHIN = 1e-9;

/** Something that is staged: a vegetable or a grain. */
interface Item {
  readonly kind: 'vegetable' | 'grain';
  readonly portion: PortionId;
  readonly id: string;
  readonly name: Text;
  readonly grams: number;
  readonly wanted: Wanted;
  /** Smallest dimension the cook has fixed, cm. */
  readonly fixedCm: number | undefined;
  readonly usualCm: number;
  readonly pinned: Place | null;
}

/** What a size comes to in a place. */
interface Outcome {
  readonly sizeCm: number;
  readonly cookValue: number;
  readonly texture: Doneness | GrainDoneness;
  readonly met: boolean;
  /** How far the size is from the usual, logarithm; 0 for a grain. */
  readonly stretch: number;
  /** How far from the middle of its window, 0 in it to 1 at its edge: there one in two misses it. */
  readonly edge: number;
}

/** A vegetable or grain where it goes, and what it will be like. */
export interface StagedItem {
  readonly portion: PortionId;
  readonly vegetable?: string;
  readonly grain?: string;
  readonly name: Text;
  readonly grams: number;
  readonly wanted: Wanted;
  readonly place: Place;
  readonly pinned: boolean;
  readonly sizeCm: number;
  /** The size that would meet the texture here; null where this one does, or none would. */
  readonly suggestedSizeCm: number | null;
  readonly cookValue: number;
  readonly texture: Doneness | GrainDoneness;
  readonly met: boolean;
  /** Chance that it has the wanted texture; null where nothing is cooked for it, or it is cooked by itself. */
  readonly chance: number | null;
  /** Water that a grain needs and does not get, ml: short of it, it is hard. */
  readonly missingMl: number;
  /** In a simmer: minutes before the end at which it goes in. */
  readonly minutesBeforeEnd: number | null;
  /** What it would be like elsewhere, at this size. */
  readonly elsewhere: readonly { readonly place: Place; readonly texture: Doneness | GrainDoneness }[];
  readonly note: Text;
}

/** A stage of the pot with what goes in at it. */
export interface Stage {
  readonly place: Place;
  /** What it is; "start" for what is in before the first lid. */
  readonly kind: StageKind | 'start';
  /** The cook's own name for it; empty where it has none. */
  readonly name: string;
  /** Under pressure, or open. */
  readonly minutes: number;
  readonly reheatMinutes: number;
  readonly releaseMinutes: number;
  readonly release: Release['method'] | null;
  readonly items: readonly StagedItem[];
}

/** The whole staging. */
export interface Staging {
  readonly stages: readonly Stage[];
  /** How often the lid comes off under pressure. */
  readonly openings: number;
  readonly allMet: boolean;
}

/** What the solver is given of the pot. */
export interface PotHistories {
  /** From lid on to the fallen pin. */
  readonly main: readonly Stretch[];
  /** Null where the pot would not come up again. */
  readonly second: SecondRunTrial | null;
  /** Standing open after the last run. */
  readonly rest: readonly Stretch[];
  readonly simmerC: number;
  /** To bring an opened pot back to the boil. */
  readonly backToBoilMinutes: number;
  /** The run whose length is sought; a second run when nothing is said. */
  readonly trial?: StageId;
  /** The simmer whose length is sought. */
  readonly simmer?: StageId;
  /** Stages whose minutes the cook has fixed: what goes in at one goes through all of this. */
  readonly fixed?: readonly { readonly id: StageId; readonly history: readonly Stretch[] }[];
  /** Stages in the order they are done. */
  readonly order?: readonly StageId[];
}

const trialOf = (pot: PotHistories): StageId => pot.trial ?? 'second-run';
const simmerOf = (pot: PotHistories): StageId => pot.simmer ?? 'simmer';
const FROM_THE_START: ReadonlySet<Place> = new Set(['start', 'flavour-only']);

function itemsOf(plan: Plan): Item[] {
  const pin = (place: Plan['grains'][number]['place']): Place | null => (place === 'auto' ? null : place);
  const portions = portionsOf(plan);
  const named = (kind: Item['kind'], i: number): { portion: PortionId; name: Text } => {
    const portion = portions.find((one) => one.kind === kind && one.index === i);
    return { portion: portion?.id ?? '', name: portion?.name ?? '' };
  };
  return [
    ...plan.vegetables.map(({ vegetable, name, grams, sizeCm, texture, place }, i): Item => ({
      kind: 'vegetable',
      ...named('vegetable', i),
      id: vegetable,
      name: name ?? vegetableById(vegetable).name,
      grams,
      wanted: texture,
      fixedCm: sizeCm,
      usualCm: vegetableById(vegetable).usualCm,
      pinned: pin(place),
    })),
    ...plan.grains.map(({ grain, name, grams, place }, i): Item => ({
      kind: 'grain',
      ...named('grain', i),
      id: grain,
      name: name ?? grainById(grain).name,
      grams,
      wanted: 'tender',
      fixedCm: undefined,
      usualCm: 0,
      pinned: pin(place),
    })),
  ].filter(({ grams }) => grams > 0);
}

/** Sizes an item may be cut to: its own, or the grid around the usual. */
function sizesOf(item: Item, shares: readonly number[] = SIZES): readonly number[] {
  if (item.kind === 'grain') return [0];
  return item.fixedCm === undefined ? shares.map((share) => share * item.usualCm) : [item.fixedCm];
}

/** So far past the beginning of a window without an end is as good as its middle. From memory. */
const WELL_PAST = 1.5;

/** How far a cook value lies from the middle of its window, 0 to 1, as pots vary: by shares. */
function edgeOf(cookValue: number, from: number, to: number): number {
  if (cookValue <= from || cookValue >= to || from <= 0) return 1;
  if (!Number.isFinite(to)) return Math.max(0, 1 - Math.log(cookValue / from) / Math.log(WELL_PAST));
  const middle = (Math.log(from) + Math.log(to)) / 2;
  return Math.abs(Math.log(cookValue) - middle) / (Math.log(to) - middle);
}

function outcome(item: Item, sizeCm: number, cookValue: number): Outcome {
  if (item.kind === 'grain') {
    const texture = grainTexture(item.id, cookValue);
    const [from, to] = grainWindow(item.id);
    return { sizeCm, cookValue, texture, met: texture === 'cooked', stretch: 0, edge: edgeOf(cookValue, from, to) };
  }
  const [from, to] = textureWindow(item.id, item.wanted);
  return {
    sizeCm,
    cookValue,
    texture: vegetableTexture(item.id, cookValue),
    met: cookValue >= from - WITHIN && cookValue < to,
    stretch: Math.abs(Math.log(sizeCm / item.usualCm)),
    edge: edgeOf(cookValue, from, to),
  };
}

/** At the edge of its window it is as bad as cut to so much more or less than its usual size, logarithm. From memory. */
const AT_THE_EDGE = 0.4;

/** What speaks against a size: that it is odd, and that what it gives is only just right. */
const against = ({ stretch, edge }: Outcome): number => stretch + AT_THE_EDGE * edge * edge;

/** The best of several sizes: one that meets the texture, in the middle of its window and near the usual size. */
function best(outcomes: readonly Outcome[]): Outcome {
  return [...outcomes].sort((a, b) => Number(b.met) - Number(a.met) || against(a) - against(b))[0] as Outcome;
}

/** What one history makes of an item, at every size it may have. */
function through(item: Item, sizes: readonly number[], history: readonly Stretch[]): Outcome[] {
  if (item.kind === 'grain') return [outcome(item, 0, grainCookValue(history))];
  return sizes.map((size) =>
    outcome(item, size, advanceThrough(vegetableRider(item.id, size), history).meanCookValue()),
  );
}

/** Cook values in the second run of something of one size, by its length. */
function secondValues(item: Item, sizeCm: number, trial: SecondRunTrial): number[] {
  if (item.kind === 'grain') {
    let before = grainCookValue(trial.heating);
    return SECOND_MINUTES.map((_, i) => {
      before += grainCookValue(trial.holds[i] ?? []);
      return before + grainCookValue(trial.releases[i] ?? []);
    });
  }
  const body: CookingBody = advanceThrough(vegetableRider(item.id, sizeCm), trial.heating);
  return SECOND_MINUTES.map((_, i) => {
    advanceThrough(body, trial.holds[i] ?? []);
    return advanceThrough(body.clone(), trial.releases[i] ?? []).meanCookValue();
  });
}

/** The same at one length only. */
function secondAt(item: Item, sizeCm: number, trial: SecondRunTrial, length: number): Outcome {
  if (item.kind === 'grain') return outcome(item, 0, secondValues(item, 0, trial)[length] ?? 0);
  const body = advanceThrough(vegetableRider(item.id, sizeCm), trial.heating);
  for (let i = 0; i <= length; i += 1) advanceThrough(body, trial.holds[i] ?? []);
  return outcome(item, sizeCm, advanceThrough(body, trial.releases[length] ?? []).meanCookValue());
}

/** Sizes that are right at each length of the second run, the nearest to the usual; every size's outcome near enough. */
function throughSecond(item: Item, trial: SecondRunTrial): Outcome[] {
  if (item.kind === 'grain') return secondValues(item, 0, trial).map((value) => outcome(item, 0, value));
  if (item.fixedCm !== undefined) {
    const size = item.fixedCm;
    return secondValues(item, size, trial).map((value) => outcome(item, size, value));
  }
  return bySize(item, trial).map(best);
}

/** Outcomes of every size on the grid, for every length. A size is only said to be right where it is so with room to spare. */
function bySize(item: Item, trial: SecondRunTrial): Outcome[][] {
  const asked = ASKED.map((share) => secondValues(item, share * item.usualCm, trial).map((value) => Math.log(value)));
  const [from, to] = textureWindow(item.id, item.wanted);
  return SECOND_MINUTES.map((_, length) =>
    SIZES.map((share) => {
      const i = Math.min(ASKED.length - 2, Math.max(0, ASKED.findIndex((node) => node >= share) - 1));
      const [low, high] = [ASKED[i] as number, ASKED[i + 1] as number];
      const part = Math.log(share / low) / Math.log(high / low);
      const value = Math.exp((asked[i]?.[length] as number) * (1 - part) + (asked[i + 1]?.[length] as number) * part);
      const result = outcome(item, share * item.usualCm, value);
      const onNode = ASKED.includes(share);
      const safely = value >= from * (1 + BETWEEN_ERROR) && value < to * (1 - BETWEEN_ERROR);
      return { ...result, met: onNode ? result.met : safely };
    }),
  );
}

/** All that is known of an item before it is placed. */
interface Known {
  readonly item: Item;
  readonly start: Outcome;
  readonly rest: Outcome;
  /** By length of the second run; empty where there is none. */
  readonly second: readonly Outcome[];
  readonly simmer: { readonly minutes: number; readonly outcome: Outcome } | null;
  /** In each stage whose minutes are fixed. */
  readonly fixed: ReadonlyMap<StageId, Outcome>;
}

function know(item: Item, pot: PotHistories): Known {
  const usual = item.fixedCm ?? item.usualCm;
  const minutes = simmerMinutes(item.kind, item.id, item.wanted, usual, pot.simmerC);
  return {
    item,
    start: best(through(item, sizesOf(item, SIZES_FROM_START), pot.main)),
    rest: best(through(item, sizesOf(item, SIZES_OFF_HEAT), pot.rest)),
    second: pot.second ? throughSecond(item, pot.second) : [],
    fixed: new Map((pot.fixed ?? []).map(({ id, history }) => [id, best(through(item, sizesOf(item), history))])),
    simmer:
      minutes === null ? null : { minutes, outcome: outcome(item, usual, simmered(item, usual, minutes, pot.simmerC)) },
  };
}

function simmered(item: Item, sizeCm: number, minutes: number, liquidC: number): number {
  const history: Stretch[] = Array.from({ length: minutes }, () => ({
    seconds: 60,
    fromC: liquidC,
    toC: liquidC,
    phase: 'open',
  }));
  return item.kind === 'grain'
    ? grainCookValue(history)
    : advanceThrough(vegetableRider(item.id, sizeCm), history).meanCookValue();
}

/** One way of placing everything. */
interface Solution {
  readonly places: readonly Place[];
  /** Index of the second run's length; null where there is none. */
  readonly second: number | null;
  readonly unmet: number;
  readonly stages: number;
  readonly minutes: number;
  /** Odd sizes, and textures that are only just met. */
  readonly against: number;
}

function outcomeAt(
  known: Known,
  place: Place,
  second: number | null,
  pot: PotHistories,
  kind: StageKind | 'start',
): Outcome {
  const { item } = known;
  if (FROM_THE_START.has(place)) return known.start;
  const fixed = known.fixed.get(place);
  if (fixed) return fixed;
  switch (kind) {
    case 'start':
      return known.start;
    case 'off-heat':
      return known.rest;
    case 'pressure':
      return (second === null || place !== trialOf(pot) ? undefined : known.second[second]) ?? known.start;
    case 'simmer':
      return known.simmer?.outcome ?? known.start;
    case 'apart': {
      // Cooked apart until it is as it should be.
      const middle =
        item.kind === 'grain'
          ? grainById(item.id).boilMinutes[1]
          : (([from, to]) => (Number.isFinite(to) ? (from + to) / 2 : from))(textureWindow(item.id, item.wanted));
      return outcome(item, item.fixedCm ?? item.usualCm, middle);
    }
  }
}

type KindOf = (place: Place) => StageKind | 'start';

function score(
  known: readonly Known[],
  places: readonly Place[],
  second: number | null,
  pot: PotHistories,
  kindOf: KindOf,
): Solution {
  let unmet = 0;
  let cost = 0;
  let simmer = 0;
  known.forEach((one, i) => {
    const place = places[i] as Place;
    const result = outcomeAt(one, place, second, pot, kindOf(place));
    if (!result.met && place !== 'flavour-only') unmet += 1;
    if (place !== 'flavour-only') cost += against(result);
    if (place === simmerOf(pot)) simmer = Math.max(simmer, one.simmer?.minutes ?? 0);
  });
  const hasSecond = places.includes(trialOf(pot));
  const trial = pot.second;
  return {
    places,
    second: hasSecond ? second : null,
    unmet,
    stages:
      Number(hasSecond) + Number(places.includes(simmerOf(pot))) + (places.includes('folded-in') ? FOLDED_STAGES : 0),
    minutes:
      (hasSecond && trial && second !== null
        ? trial.reheatMinutes + (SECOND_MINUTES[second] ?? 0) + (trial.releaseMinutes[second] ?? 0)
        : 0) + (simmer > 0 ? simmer + pot.backToBoilMinutes : 0),
    against: cost,
  };
}

/** Fewer textures missed, then fewer stages, then sooner on the table, then cut nearer the usual. */
function better(a: Solution, b: Solution): boolean {
  if (a.unmet !== b.unmet) return a.unmet < b.unmet;
  if (a.stages !== b.stages) return a.stages < b.stages;
  // A minute is not worth an odd size, nor a texture at its edge.
  const cost = (s: Solution): number => s.minutes + 4 * s.against;
  return cost(a) < cost(b) - WITHIN;
}

/** Places an item that is not pinned may take, the cheapest first, given which stages there are. */
function choose(known: Known, second: number | null, simmer: boolean, folded: boolean, pot: PotHistories): Place {
  const { item } = known;
  if (item.pinned) return item.pinned;
  if (known.start.met && !STRONG.has(item.id)) return 'start';
  // A stage that is done anyway costs nothing.
  const there = [...known.fixed].find(([, { met }]) => met)?.[0];
  if (there !== undefined) return there;
  if (known.rest.met) return 'off-heat';
  if (second !== null && known.second[second]?.met === true) return trialOf(pot);
  if (simmer && known.simmer?.outcome.met === true) return simmerOf(pot);
  if (folded) return 'folded-in';
  // Nothing will do: where it misses by least trouble.
  if (second !== null && known.second.length > 0) return trialOf(pot);
  if (simmer && known.simmer) return simmerOf(pot);
  return STRONG.has(item.id) ? 'off-heat' : 'start';
}

function solve(known: readonly Known[], pot: PotHistories, kindOf: KindOf): Solution {
  // What the cook has put into the run that is sought asks for it, whatever comes of it.
  const asked = known.some(({ item }) => item.pinned === trialOf(pot)) && pot.second !== null;
  const lengths: (number | null)[] = [...(asked ? [] : [null]), ...(pot.second ? SECOND_MINUTES.map((_, i) => i) : [])];
  let best: Solution | null = null;
  for (const second of lengths) {
    for (const simmer of [false, true]) {
      for (const folded of [false, true]) {
        const places = known.map((one) => choose(one, second, simmer, folded, pot));
        const next = score(known, places, second, pot, kindOf);
        if (best === null || better(next, best)) best = next;
      }
    }
  }
  return best as Solution;
}

/** Places that make sense to compare with. */
const compared = (pot: PotHistories): Place[] => ['start', trialOf(pot), 'off-heat'];
/** Length of a second run to compare with where there is none, minutes. Common practice. */
const USUAL_SECOND = SECOND_MINUTES.indexOf(3);

function staged(known: Known, place: Place, second: number | null, pot: PotHistories, kindOf: KindOf): StagedItem {
  const { item } = known;
  const chosen = outcomeAt(known, place, second, pot, kindOf(place));
  const trial = pot.second;
  // What is told is what the pot was asked, not what lies between.
  const here =
    place === trialOf(pot) && trial && second !== null ? secondAt(item, chosen.sizeCm, trial, second) : chosen;
  const fixed = { ...item, fixedCm: here.sizeCm };
  const simmers = place === simmerOf(pot) && !known.fixed.has(place);
  /** What one of another size collects here. */
  const valueAt = (sizeCm: number): number => {
    if (place === trialOf(pot) && trial && second !== null) return secondAt(item, sizeCm, trial, second).cookValue;
    const seconds = (known.simmer?.minutes ?? 0) * 60;
    if (simmers)
      return vegetableCookValue(item.id, sizeCm, [{ seconds, fromC: pot.simmerC, toC: pot.simmerC, phase: 'open' }]);
    return through(item, [sizeCm], historyAt(pot, place, kindOf(place)))[0]?.cookValue ?? here.cookValue;
  };
  const elsewhere = compared(pot)
    .filter((other) => other !== place && !(other === trialOf(pot) && !trial))
    .map((other) => {
      const there =
        other === 'start'
          ? through(fixed, [here.sizeCm], pot.main)[0]
          : other === 'off-heat'
            ? through(fixed, [here.sizeCm], pot.rest)[0]
            : trial
              ? secondAt(fixed, here.sizeCm, trial, second ?? USUAL_SECOND)
              : undefined;
      return { place: other, texture: (there ?? here).texture };
    });
  return {
    portion: item.portion,
    ...(item.kind === 'vegetable' ? { vegetable: item.id } : { grain: item.id }),
    name: item.name,
    grams: item.grams,
    wanted: item.wanted,
    place,
    pinned: item.pinned !== null,
    sizeCm: here.sizeCm,
    suggestedSizeCm: suggestion(item, here, place, second, pot, kindOf(place)),
    cookValue: here.cookValue,
    texture: here.texture,
    met: here.met || place === 'flavour-only',
    chance: chanceHere(item, here, place, kindOf(place), pot, valueAt),
    missingMl: 0,
    minutesBeforeEnd: simmers ? (known.simmer?.minutes ?? null) : null,
    elsewhere,
    note: item.kind === 'vegetable' ? vegetableById(item.id).note : grainById(item.id).note,
  };
}

/** How likely something has its texture where it is; null where nothing is cooked for it, or it is cooked by itself. */
function chanceHere(
  item: Item,
  { sizeCm, cookValue }: Outcome,
  place: Place,
  kind: StageKind | 'start',
  pot: PotHistories,
  valueAt: (sizeCm: number) => number,
): number | null {
  if (place === 'flavour-only' || kind === 'apart') return null;
  // At the hottest of its stage.
  const hottest =
    kind === 'simmer' ? pot.simmerC : historyAt(pot, place, kind).reduce((most, { toC }) => Math.max(most, toC), 0);
  const usual = item.kind === 'grain' ? cookValue : valueAt(sizeCm);
  return textureOdds({ ...item, cookValue }, cookRate(hottest), (share) =>
    // What has hardly warmed through has collected nothing, whatever its size.
    item.kind === 'grain' || share === 1 || !(usual > 0) ? 1 : valueAt(sizeCm * share) / usual,
  );
}

/** The size that would be right here, where the cook's own is not, or where the solver's differs from the usual. */
function suggestion(
  item: Item,
  here: Outcome,
  place: Place,
  second: number | null,
  pot: PotHistories,
  kind: StageKind | 'start',
): number | null {
  if (item.kind === 'grain' || place === 'flavour-only' || kind === 'apart' || place === simmerOf(pot)) return null;
  if (item.fixedCm === undefined) return here.met && here.stretch > 0.12 ? here.sizeCm : null;
  if (here.met) return null;
  const sizes = SIZES.map((share) => share * item.usualCm);
  const outcomes =
    place === trialOf(pot) && pot.second
      ? second !== null
        ? (bySize(item, pot.second)[second] ?? [])
        : []
      : through(item, sizes, historyAt(pot, place, kind));
  const best = outcomes.filter(({ met }) => met).sort((a, b) => against(a) - against(b))[0];
  return best?.sizeCm ?? null;
}

const fixedAt = (pot: PotHistories, place: Place): readonly Stretch[] | undefined =>
  pot.fixed?.find(({ id }) => id === place)?.history;

/** What the pot does around what goes in at a place that is not sought any more. */
const historyAt = (pot: PotHistories, place: Place, kind: StageKind | 'start'): readonly Stretch[] =>
  kind === 'off-heat' ? pot.rest : (fixedAt(pot, place) ?? pot.main);

/** Places in the order of the evening. */
function orderOf(pot: PotHistories): Place[] {
  const between = pot.order ?? ['second-run', 'simmer'];
  return [...new Set(['start', 'flavour-only', ...between, 'off-heat', 'folded-in'])];
}

/**
 * Finds the plan with the fewest openings that meets every texture: on top from the start, one second pressure run, an
 * open simmer, off the heat, folded in. Vegetables whose size is free are cut so that what shares a run is right
 * together. What the cook has pinned stays, and is told what it will be like.
 *
 * @param plan vegetables with their textures, grains, and what is pinned
 * @param pot its histories, one temperature for all that is in it
 * @returns stages in order; a texture it says is met is met
 * Accuracy: sizes on a grid of eleven from half to twice the usual; lengths of the second run on {@link SECOND_MINUTES}.
 */
export function stageVegetables(plan: Plan, pot: PotHistories): Staging {
  const kindOf: KindOf = (place) => (FROM_THE_START.has(place) ? 'start' : stageOf(plan, place).kind);
  const known = itemsOf(plan).map((item) => know(item, pot));
  if (known.length === 0) return { stages: [], openings: 1, allMet: true };
  const solution = solve(known, pot, kindOf);
  const items = known.map((one, i) => staged(one, solution.places[i] as Place, solution.second, pot, kindOf));
  const stages = orderOf(pot).flatMap((place): Stage[] => {
    const here = items.filter((item) => item.place === place);
    if (here.length === 0) return [];
    const second = place === trialOf(pot) && pot.second && solution.second !== null;
    const simmers = place === simmerOf(pot);
    const settings = FROM_THE_START.has(place) ? null : stageOf(plan, place);
    return [
      {
        place,
        kind: kindOf(place),
        name: settings?.name ?? '',
        minutes: second
          ? (SECOND_MINUTES[solution.second ?? 0] ?? 0)
          : (settings?.minutes ??
            (simmers ? Math.max(...here.map(({ minutesBeforeEnd }) => minutesBeforeEnd ?? 0)) : 0)),
        reheatMinutes: second ? pot.second.reheatMinutes : simmers ? pot.backToBoilMinutes : 0,
        releaseMinutes: second ? (pot.second.releaseMinutes[solution.second ?? 0] ?? 0) : 0,
        release: settings?.kind === 'pressure' ? (settings.release?.method ?? 'quick') : null,
        items: here,
      },
    ];
  });
  return {
    stages,
    openings: solution.places.includes(trialOf(pot)) ? 2 : 1,
    allMet: items.every(({ met }) => met),
  };
}
