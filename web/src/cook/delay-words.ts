import { printDuration, SECTION_WORDS, type CookState, type Delay, type DelayCause } from '@hervir/core';

const CAUSES: Readonly<Partial<Record<DelayCause, (much: string) => string>>> = {
  start: (much) => `It was begun ${much} late.`,
  burn: (much) => `The burn took ${much}.`,
  again: (much) => `The meat was tough: back under the lid, ${much}.`,
  'boils-dry': (much) => `It boiled dry: ${much}.`,
  'power-cut': (much) => `The power cut took ${much}.`,
  'pin-will-not-rise': (much) => `The pin did not rise: ${much}.`,
  heat: (much) => `The pot was put on ${much} late.`,
};

/** Why dinner is later than planned: "The burn took 19 min." "Coming to pressure took 19 min, not 15." */
export function delayWords({ cause, minutes }: Delay, { took }: Pick<CookState, 'took'>): string {
  const says = CAUSES[cause];
  if (says) return says(printDuration(minutes));
  const part = took.find(({ section }) => section === cause);
  return part
    ? `${SECTION_WORDS[part.section]} took ${printDuration(part.actual)}, not ${printDuration(part.planned)}.`
    : '';
}
