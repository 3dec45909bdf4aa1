import { say, type Text } from '@hervir/language/message';
import type { SectionId } from '../clock/guide-step';

/** The parts of the work, in words a cook would use. */
export const SECTION_WORDS: Readonly<Record<SectionId, Text>> = {
  board: say('section.board'),
  heat: say('section.heat'),
  sear: say('section.sear'),
  aromatics: say('section.aromatics'),
  deglaze: say('section.deglaze'),
  load: say('section.load'),
  'coming-up': say('section.coming-to-pressure'),
  pressure: say('section.under-pressure'),
  'letting-down': say('section.letting-down'),
  check: say('section.the-check'),
  'later-run': say('section.second-run'),
  simmer: say('section.simmer'),
  sauce: say('section.sauce'),
  plate: say('section.plate'),
  'put-away': say('section.put-away'),
  warm: say('section.warm-through'),
};

/**
 * A part of the work as it is told at the pot: of the later runs, which one.
 *
 * @param section the part
 * @param run counted from one; null where it belongs to none
 * @example sectionName('later-run', 3) // 'Third run'
 */
export function sectionName(section: SectionId, run: number | null): Text {
  if (section !== 'later-run' || run === null || run <= 2) return SECTION_WORDS[section];
  return run === 3 ? say('section.third-run') : say('section.run', { run });
}
