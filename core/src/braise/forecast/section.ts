import { joined, quantity, say, type Text } from '@hervir/language/message';
import { pieceOf } from '../../meat/piece';
import { moveOf } from '../../method/moves';
import { inBowls, inOrder, placesAfter, type Places } from '../../method/whereabouts';
import type { StageId } from '../../plan/plan';
import { chargesOf } from '../../pot/charge';
import { contentsOf, PACKING } from '../../pot/contents';
import { fondOf, type Sticking } from '../../pot/base-temperature';
import { layBatch } from '../../stations/batch-layout';
import type { Forecast } from './forecast-document';

/** The moment the pot is cut open at. */
export type SectionMoment =
  | { readonly kind: 'sear' }
  | { readonly kind: 'deglaze' }
  | { readonly kind: 'lid'; readonly run: number }
  | { readonly kind: 'opened' };

/** What a moment is told apart by: the stages of the plan have their own ids. */
export type SectionStage = StageId;

/** The pot cut open at one moment, in cm from the middle of its base. */
export interface Section {
  readonly stage: SectionStage;
  readonly moment: SectionMoment;
  readonly title: Text;
  readonly diameterCm: number;
  readonly heightCm: number;
  readonly liquidCm: number;
  readonly freeMl: number;
  /** Height of the solids with the gaps between them; 0 where the meat is not in. */
  readonly bedCm: number;
  readonly rackCm: number;
  /** Length and height of a piece as it is cut, and how many there are. */
  readonly piece: { readonly lengthCm: number; readonly heightCm: number; readonly count: number } | null;
  /** Height of vegetables, grains and pastes over the meat. */
  readonly topCm: number;
  readonly topWhat: Text;
  readonly sticking: Sticking;
  readonly fillLineCm: number;
  readonly minimumLineCm: number;
  readonly baseC: number;
  /** The whole picture in words. */
  readonly text: Text;
}

const STICKS: Readonly<Record<Sticking, Text>> = {
  clean: say('section.a-clean-base'),
  film: say('section.a-film-on-the-base'),
  fond: say('section.the-brown-layer-of-the'),
  'sugar-crust': say('section.burnt-sugar-on-the-base'),
};

type Common = Omit<Section, 'stage' | 'moment' | 'title' | 'liquidCm' | 'freeMl' | 'sticking' | 'baseC' | 'text'>;

/** Where everything is when a lid is locked: what the moves before it have done. */
function placesAtLid(f: Forecast, run: number): Places {
  let places = inBowls(f.portions);
  for (const step of inOrder(f.method)) {
    if (moveOf(step.moves, 'lock-and-start')?.run === run) return places;
    places = placesAfter(places, step, f.portions);
  }
  return places;
}

const textsOrNothing = (texts: readonly Text[]): Text => (texts.length === 0 ? '' : joined(texts, ', '));

/** At a later lid: what has gone in by then, and the meat out or in. */
function laterSection(
  f: Forecast,
  lid: Forecast['lids'][number],
  common: Common,
  cut: NonNullable<Section['piece']>,
  area: number,
): Section {
  const run = f.stages.find(({ place }) => place === lid.stage);
  const places = placesAtLid(f, lid.run);
  const here = (run?.items ?? []).map(({ portion }) => portion);
  const inPot = f.portions.filter(({ id }) => places.get(id) === 'pot');
  const grams = inPot.filter(({ id }) => here.includes(id)).reduce((sum, one) => sum + (one.grams ?? 0), 0);
  const inside = inPot.some(({ kind }) => kind === 'meat');
  const meatMl = inside ? f.yield.cookedGrams[1] + f.yield.boneGrams : 0;
  const freeMl = Math.max(0, lid.liquid.atLockMl);
  const solids = grams + meatMl;
  const bedMl = grams / PACKING.plants + meatMl / PACKING.whole;
  const liquidCm = freeMl < bedMl - solids ? freeMl / area / (1 - PACKING.plants) : (freeMl + solids) / area;
  const names = inPot.filter(({ id }) => here.includes(id)).map(({ name }) => name);
  const minutes = run?.minutes ?? 0;
  const title = run?.name ? run.name : lid.run === 2 ? say('section.2nd-run') : say('section.run', { run: lid.run });
  return {
    ...common,
    stage: lid.stage,
    moment: { kind: 'lid', run: lid.run },
    title,
    fillLineCm: lid.fill.limit * common.heightCm,
    liquidCm,
    freeMl,
    bedCm: inside ? meatMl / PACKING.whole / area : 0,
    topCm: grams / PACKING.plants / area,
    topWhat: textsOrNothing(names),
    piece: inside ? cut : null,
    sticking: 'clean',
    baseC: lid.base.worstC,
    text: say('section.with-the-meat-out-under', {
      run: lid.run === 2 ? say('section.second-run') : title,
      any: names.length > 0,
      names: textsOrNothing(names),
      inside,
      freeMl: quantity('volume', freeMl),
      minutes: minutes < 0.5,
      minutes2: Math.round(minutes),
    }),
  };
}

/**
 * The pot cut open, stage by stage, to scale: for the drawing and for those who do not see it.
 *
 * @param f a forecast
 * @returns one section a stage; the sear's is left out where nothing is seared in the pot
 * @example sectionsOf(forecast(plan)).map((section) => section.stage).join(' ') // 'sear deglaze lid-on opened'
 */
// oxlint-disable-next-line max-lines-per-function -- one object a stage, side by side, from measures that all of them share
export function sectionsOf(f: Forecast): Section[] {
  const plan = { ...f.plan, ...f.placed };
  const { cooker } = plan;
  const piece = pieceOf(plan.meat);
  const charges = chargesOf(plan);
  const atLid = contentsOf(plan, piece, charges, f.liquid.freeAtStartMl);
  const atEnd = contentsOf(plan, piece, charges, f.liquid.freeAtEndMl);
  const area = atLid.areaCm2;
  const heightCm = (cooker.litres * 1000) / area;
  const [lengthCm, , thicknessCm] = piece.dimensionsCm;
  const onTop = charges.filter(({ stage }) => stage === 'on-top');
  const topWhat = [
    ...onTop.map(({ what }) => what),
    ...(atLid.plantsMl + atLid.grainMl > 0 ? [say('section.vegetables-and-grain')] : []),
  ];
  const plantsBedMl = (atLid.plantsMl + atLid.grainMl) / PACKING.plants;
  const seared = plan.sear.school !== 'none' && plan.sear.where === 'pot';
  const fond: Sticking = !seared
    ? 'clean'
    : f.sear.faces.length > 1 || plan.meat.rub?.sugar === true
      ? fondOf(plan)
      : 'film';
  const batch = seared ? layBatch(f.sear.perBatch, f.sear.face, cooker.baseDiameterCm) : null;
  const inMiddle = batch ? new Set(batch.placed.map(({ x }) => x.toFixed(1))).size : 0;
  const common = {
    diameterCm: cooker.baseDiameterCm,
    heightCm,
    rackCm: 0,
    bedCm: 0,
    topCm: 0,
    topWhat: '',
    piece: null,
    fillLineCm: f.fill.limit * heightCm,
    minimumLineCm: f.liquid.minimumMl / area,
  };
  const pastesMl = onTop.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  const cut = { lengthCm: Math.min(lengthCm, cooker.baseDiameterCm), heightCm: thicknessCm, count: piece.count };
  const filled = {
    ...common,
    bedCm: atLid.bedCm - plantsBedMl / area,
    rackCm: atLid.rackCm,
    topCm: (pastesMl + plantsBedMl) / area,
    topWhat: textsOrNothing(topWhat),
    piece: cut,
    sticking: f.burn.sticking,
  };
  const sections: Section[] = [];
  if (seared) {
    sections.push({
      ...common,
      stage: 'sear',
      moment: { kind: 'sear' },
      title: say('section.searing'),
      liquidCm: 0,
      freeMl: 0,
      piece: { ...cut, count: Math.max(1, Math.min(inMiddle, f.sear.perBatch)) },
      sticking: fond,
      baseC: f.saute.baseC,
      text: say('section.searing-of-pieces-lie-on', {
        perBatch: f.sear.perBatch,
        count: piece.count,
        baseC: quantity('temperature', f.saute.baseC),
        coverage: Math.round(f.sear.coverage * 100),
      }),
    });
  }
  if (plan.deglaze !== null && f.sear.preheatMinutes > 0) {
    const left = f.liquid.entries.filter(({ stage }) => stage === 'deglaze').reduce((sum, { ml }) => sum + ml, 0);
    sections.push({
      ...common,
      stage: 'deglaze',
      moment: { kind: 'deglaze' },
      title: say('section.deglazed'),
      liquidCm: left / area,
      freeMl: left,
      sticking: f.burn.sticking,
      baseC: f.pot.boilingC,
      text: say('section.deglazed-are-left-with', {
        left: quantity('volume', left),
        sticks: STICKS[f.burn.sticking],
      }),
    });
  }
  sections.push(
    {
      ...filled,
      stage: 'lid-on',
      moment: { kind: 'lid', run: 1 },
      title: say('section.lid-on'),
      liquidCm: atLid.liquidCm,
      freeMl: f.liquid.freeAtStartMl,
      baseC: f.burn.baseC,
      text: say('section.lid-on-the-fill-line', {
        litres: quantity('litres', f.fill.litres),
        over: f.fill.over,
        freeAtStartMl: quantity('volume', f.liquid.freeAtStartMl),
        liquidCm: quantity('length', atLid.liquidCm),
        baseC: quantity('temperature', f.burn.baseC),
        cutoutC: quantity('temperature', f.burn.cutoutC),
        sticks: STICKS[f.burn.sticking],
      }),
    },
    ...f.lids.slice(1).map((lid) => laterSection(f, lid, common, cut, area)),
    {
      ...filled,
      stage: 'opened',
      moment: { kind: 'opened' },
      title: say('section.opened'),
      liquidCm: atEnd.liquidCm,
      freeMl: f.liquid.freeAtEndMl,
      baseC: f.pot.boilingC,
      text: say('section.opened-of-free-liquid-stand', {
        freeAtEndMl: quantity('volume', f.liquid.freeAtEndMl),
        liquidCm: quantity('length', atEnd.liquidCm),
        fatMl: quantity('volume', f.liquid.fatMl),
      }),
    },
  );
  return sections;
}
