import type { Plan } from '../plan/plan';
import type { BurnCauseId, BurnLevel, BurnVerdict } from '../pot/base-temperature';
import type { Printer } from '../units/quantity';

const WHAT: Readonly<Record<BurnVerdict['kind'], Readonly<Record<BurnLevel, string>>>> = {
  'cut-out': {
    safe: 'The base stays well below its cut-out',
    watch: 'The base comes near its cut-out',
    likely: 'Expect the burn error',
  },
  scorch: {
    safe: 'The base stays well below scorching',
    watch: 'The base comes near scorching',
    likely: 'Expect it to scorch: this pot has no cut-out',
  },
};

/** The verdict on a base in one line: what happens, how hot, when. */
export function baseText({ kind, level, baseC, minute, cutoutC }: BurnVerdict, print: Printer): string {
  const degrees = (celsius: number): string => print.quantity('temperature', celsius);
  return `${WHAT[kind][level]}: ${degrees(baseC)} at the worst moment, ${Math.round(minute)} min after the lid goes on, against ${degrees(cutoutC)}.`;
}

/** A cause of a hot base. */
export function causeText(plan: Plan, verdict: BurnVerdict, cause: BurnCauseId, print: Printer, run: number): string {
  switch (cause) {
    case 'thickened':
      return `Thickened: what ${run > 1 ? 'has melted in' : 'is stirred in'} keeps ${print.quantity('volume', verdict.freeMl)} of liquid from moving`;
    case 'fond':
      return verdict.sticking === 'film'
        ? 'A film sticks to the base'
        : 'The brown layer of the sear sticks to the base';
    case 'sugar':
      return 'Burnt sugar of the rub sticks to the base';
    case 'dry':
      return `Too little liquid: ${print.quantity('volume', verdict.freeMl)} do not keep the base wet`;
    case 'flat-meat':
      return 'The meat lies flat on the base';
    case 'grain':
      return 'Grain settles on the base';
    case 'heat':
      return plan.cooker.kind === 'stovetop' && plan.heat === 'medium'
        ? 'Heat of a medium flame'
        : 'Heat of the base at full power';
  }
}
