import { printDuration } from '@hervir/language';
import { SECTION_WORDS, type CookState, type Delay, type DelayCause } from '@hervir/core';
import { t } from '../language/t';

const CAUSES: Readonly<Partial<Record<DelayCause, (much: string) => string>>> = {
  start: (much) => t('cook.it-was-begun-late', { much }),
  burn: (much) => t('cook.the-burn-took', { much }),
  again: (much) => t('cook.the-meat-was-tough-back', { much }),
  'boils-dry': (much) => t('cook.it-boiled-dry', { much }),
  'power-cut': (much) => t('cook.the-power-cut-took', { much }),
  'pin-will-not-rise': (much) => t('cook.the-pin-did-not-rise', { much }),
  heat: (much) => t('cook.the-pot-was-put-on', { much }),
};

/** Why dinner is later than planned: "The burn took 19 min." "Coming to pressure took 19 min, not 15." */
export function delayWords({ cause, minutes }: Delay, { took }: Pick<CookState, 'took'>): string {
  const says = CAUSES[cause];
  if (says) return says(printDuration(minutes));
  const part = took.find(({ section }) => section === cause);
  return part
    ? t('cook.took-not', {
        sectionWords: SECTION_WORDS[part.section],
        duration: printDuration(part.actual),
        planned: printDuration(part.planned),
      })
    : '';
}
