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
  'put-away': 'Put away',
  warm: 'Warm through',
};

/**
 * A part of the work as it is told at the pot: of the later runs, which one.
 *
 * @param section the part
 * @param run counted from one; null where it belongs to none
 * @example sectionName('later-run', 3) // 'Third run'
 */
export function sectionName(section: SectionId, run: number | null): string {
  if (section !== 'later-run' || run === null || run <= 2) return SECTION_WORDS[section];
  return run === 3 ? 'Third run' : `Run ${run}`;
}
