import { quantity, say, type Text } from '@hervir/language/message';
import type { Plan } from '../plan/plan';
import type { BurnCauseId, BurnLevel, BurnVerdict } from '../pot/base-temperature';

const WHAT: Readonly<Record<BurnVerdict['kind'], Readonly<Record<BurnLevel, Text>>>> = {
  'cut-out': {
    safe: say('base.the-base-stays-well-below'),
    watch: say('base.the-base-comes-near-its'),
    likely: say('base.expect-the-burn-error'),
  },
  scorch: {
    safe: say('base.the-base-stays-well-below-scorching'),
    watch: say('base.the-base-comes-near-scorching'),
    likely: say('base.expect-it-to-scorch-this'),
  },
};

/** The verdict on a base in one line: what happens, how hot, when. */
export function baseText({ kind, level, baseC, minute, cutoutC }: BurnVerdict): Text {
  const degrees = (celsius: number): Text => quantity('temperature', celsius);
  return say('base.at-the-worst-moment-min', {
    what: WHAT[kind][level],
    baseC: degrees(baseC),
    minute: Math.round(minute),
    cutoutC: degrees(cutoutC),
  });
}

/** A cause of a hot base. */
export function causeText(plan: Plan, verdict: BurnVerdict, cause: BurnCauseId, run: number): Text {
  switch (cause) {
    case 'thickened':
      return say('base.thickened-what-has-melted-in', {
        run: run > 1,
        freeMl: quantity('volume', verdict.freeMl),
      });
    case 'fond':
      return verdict.sticking === 'film' ? say('base.a-film-sticks-to-the') : say('base.the-brown-layer-of-the');
    case 'sugar':
      return say('base.burnt-sugar-of-the-rub');
    case 'dry':
      return say('base.too-little-liquid-do-not', { freeMl: quantity('volume', verdict.freeMl) });
    case 'flat-meat':
      return say('base.the-meat-lies-flat-on');
    case 'grain':
      return say('base.grain-settles-on-the-base');
    case 'heat':
      return plan.cooker.kind === 'stovetop' && plan.heat === 'medium'
        ? say('base.heat-of-a-medium-flame')
        : say('base.heat-of-the-base-at');
  }
}
