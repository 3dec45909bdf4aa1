import { joined, quantity, say, type Text } from '@hervir/language/message';
import { pieceOf } from '../meat/piece';
import { chargesOf } from '../pot/charge';
import { contentsOf, PACKING } from '../pot/contents';
import { fondOf } from '../pot/base-temperature';
import type { Section } from '../braise/forecast/section';
import type { Forecast } from '../braise/forecast/forecast-document';
import type { Frame } from './simulated-cook';

const WHERE: Readonly<Record<Frame['meat'], Text>> = {
  board: say('section-now.the-meat-on-the-board'),
  base: say('section-now.meat-on-the-hot-base'),
  plate: say('section-now.the-meat-on-a-plate'),
  pot: say('section-now.the-meat-in-the-pot'),
  foil: say('section-now.the-meat-under-foil'),
};

/**
 * The pot of a simulated cook cut open at one moment, to scale, for the same drawing as the plan's.
 *
 * @param f the plan's forecast
 * @param frame that moment
 * @returns the section, in cm from the middle of its base
 */
export function sectionNow(f: Forecast, frame: Frame): Section {
  const plan = { ...f.plan, ...f.placed };
  const { cooker } = plan;
  const piece = pieceOf(plan.meat);
  const [lengthCm, , thicknessCm] = piece.dimensionsCm;
  const inPot = frame.meat === 'pot';
  // Vegetables may be where no plan has them: they are counted by what is really in.
  const bare = { ...plan, vegetables: [], grains: [] };
  const full = contentsOf(bare, piece, chargesOf(plan), frame.freeMl);
  const area = full.areaCm2;
  const inside = f.portions.filter(({ id }) => frame.inPot.includes(id));
  const grams = inside.reduce((sum, one) => sum + (one.grams ?? 0), 0);
  const heightCm = (cooker.litres * 1000) / area;
  const sticking = frame.stuck > 0.05 ? fondOf(plan) : 'clean';
  const onBase = Math.max(1, Math.min(f.sear.perBatch, Math.floor(cooker.baseDiameterCm / Math.max(1, lengthCm))));
  const count = inPot ? piece.count : onBase;
  const what: Text =
    inside.length === 0
      ? ''
      : joined(
          inside.map(({ name }) => name),
          ', ',
        );
  const names = what === '' ? '' : say('section-now.in-it', { what });
  return {
    stage: 'lid-on',
    moment: { kind: 'lid', run: 1 },
    title: say('section-now.now'),
    diameterCm: cooker.baseDiameterCm,
    heightCm,
    liquidCm: inPot ? full.liquidCm : (frame.freeMl + grams) / area,
    freeMl: frame.freeMl,
    bedCm: inPot ? full.bedCm : 0,
    rackCm: inPot ? full.rackCm : 0,
    piece:
      inPot || frame.meat === 'base'
        ? { lengthCm: Math.min(lengthCm, cooker.baseDiameterCm), heightCm: thicknessCm, count }
        : null,
    topCm: grams / PACKING.plants / area,
    topWhat: what,
    sticking,
    fillLineCm: f.fill.limit * heightCm,
    minimumLineCm: f.liquid.minimumMl / area,
    baseC: frame.baseC,
    text: say('section-now.the-pot-now-of-free', {
      where: WHERE[frame.meat],
      names,
      freeMl: quantity('volume', frame.freeMl),
      liquidC: quantity('temperature', frame.liquidC),
      baseC: quantity('temperature', frame.baseC),
      clean: sticking === 'clean',
    }),
  };
}
