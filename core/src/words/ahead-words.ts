import type { AheadTask, Late, Missed } from '../clock/ahead';
import { grainById } from '../larder/grains';
import { printDuration } from '../units/time';
import { inDegreesOf, type UnitSystem } from '../units/quantity';
import { CAUTION_WORDS } from './caution-words';
import { inHours } from './hours';

type Said = Pick<AheadTask, 'kind' | 'name' | 'minutes'>;

/**
 * What is to be done before the evening, as one says it.
 *
 * @example aheadText({ kind: 'soak', name: 'chickpeas', minutes: 480 }) // 'Soak the chickpeas in plenty of cold water: 8 h'
 */
export function aheadText({ kind, name, minutes }: Said): string {
  const lies = inHours(minutes / 60);
  switch (kind) {
    case 'thaw-fridge':
      return `Take the ${name} out of the freezer, into the fridge on a tray: thawed in ${lies}`;
    case 'thaw-water':
      return `Thaw the ${name} in cold water, tightly wrapped: ${lies}`;
    case 'thaw-stock':
      return `Take the ${name} out of the freezer, into the fridge: thawed in ${lies}`;
    case 'rub':
      return `Rub the ${name}, and back into the fridge: ${lies}`;
    case 'salt':
      return `Salt the ${name}, and back into the fridge uncovered: ${lies}`;
    case 'marinate':
      return `Put the ${name} into its marinade, in the fridge: ${lies}`;
    case 'soak':
      return `Soak the ${name} in plenty of cold water: ${lies}`;
    case 'cook':
      return `Cook the ${name}, and put it away: ${printDuration(minutes)}`;
    case 'warm':
      return `Lift the fat off the ${name} and warm it through: ${printDuration(minutes)} until it is on the table`;
  }
}

/** What can hurt at that task; local authorities come first. Null where nothing can. */
export function aheadCaution({ kind }: Pick<Said, 'kind'>, system: UnitSystem = 'metric'): string | null {
  switch (kind) {
    case 'thaw-fridge':
      return 'Never on the counter. What drips is raw: a tray under it, nothing below. Your food authority comes first.';
    case 'thaw-water':
      return 'Tightly wrapped, the water cold and changed every half hour, and cooked at once. Your food authority comes first.';
    case 'marinate':
      return 'In the fridge. What held raw meat is boiled or cooked with it before anyone eats of it.';
    case 'warm':
      return inDegreesOf(system, CAUTION_WORDS['warm-through']);
    case 'cook':
      return 'Into shallow containers at once, and the fridge within two hours. Your food authority comes first.';
    case 'thaw-stock':
      return 'Never on the counter. It is boiled before anyone eats of it.';
    case 'rub':
    case 'salt':
    case 'soak':
      return null;
  }
}

/** The same of something cooked that was kept: nothing of it is raw. */
export function keptCaution(task: Pick<Said, 'kind'>, system: UnitSystem = 'metric'): string | null {
  return task.kind === 'thaw-fridge'
    ? 'Never on the counter. Thawed, it is good for as long as anything cooked in the fridge. Your food authority comes first.'
    : aheadCaution(task, system);
}

/** What it means that something was late, and what the plan then reckons with. */
export function missedText({ task: { kind, name }, missed }: Pick<Late, 'task' | 'missed'>): string {
  return (
    {
      'thaw-fridge': `The ${name} is still in the freezer`,
      'thaw-water': `The ${name} is not in its water yet`,
      'thaw-stock': `The ${name} is still in the freezer`,
      rub: `The ${name} is not rubbed yet`,
      salt: `The ${name} is not salted yet`,
      marinate: `The ${name} is not in its marinade yet`,
      soak: `The ${name} were not soaked long enough`,
      cook: `The ${name} is not cooked yet`,
      warm: `The ${name} is not on the fire yet`,
    }[kind] + `: ${meaning(missed)}`
  );
}

function meaning(missed: Missed): string {
  switch (missed.code) {
    case 'in-water':
      return `the fridge takes too long now. In cold water it takes ${printDuration(missed.minutes)}; it is cooked at once then.`;
    case 'still-frozen':
      return 'it will be frozen in the middle. It can be cooked from frozen, with more minutes and a paler sear.';
    case 'salted-later':
      return `salt now lies on it for ${printDuration(missed.minutes)}.`;
    case 'salted-at-the-pot':
      return 'salt it when it goes into the pot.';
    case 'marinated-shorter':
      return `it lies in it for ${inHours(missed.hours)} now.`;
    case 'rubbed-shorter':
      return `the rub lies on it for ${inHours(missed.hours)} now.`;
    case 'rubbed-at-the-pot':
      return 'rub it at the board.';
    case 'melt-in-pan':
      return `melt it in a pan while the meat browns, about ${printDuration(missed.minutes)}.`;
    case 'not-marinated':
      return 'it is cooked without.';
    case 'unsoaked':
      return `they are cooked as ${grainById(missed.grain).name.toLowerCase()}, and take twice as long.`;
    case 'in-fridge-later':
      return `begun now, it is in the fridge ${printDuration(missed.minutes)} later.`;
    case 'eaten-later':
      return `begun now, it is eaten ${printDuration(missed.minutes)} later. Not warmed through it is not safe.`;
    case 'soak-quickly':
      return 'boil them for two minutes in plenty of water, leave them an hour under a lid, and pour that water away.';
  }
}
