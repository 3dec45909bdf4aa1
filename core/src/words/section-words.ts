import type { SectionId } from '../clock/guide-step';

/** The parts of the work, in words a cook would use. */
export const SECTION_WORDS: Readonly<Record<SectionId, string>> = {
  board: 'Board',
  heat: 'Heat',
  sear: 'Sear',
  aromatics: 'Aromatics',
  deglaze: 'Deglaze',
  load: 'Load',
  'coming-up': 'Coming to pressure',
  pressure: 'Under pressure',
  'letting-down': 'Letting down',
  check: 'The check',
  'later-run': 'Second run',
  simmer: 'Simmer',
  sauce: 'Sauce',
  plate: 'Plate',
};
