import { joined, lowered, quantity, say, type Text } from '@hervir/language/message';
import type { AheadTask, Late, Missed } from '../clock/ahead';
import { grainById } from '../catalog/grains';
import { CAUTION_WORDS } from './caution-words';
import { inHours } from './hours';

type Said = Pick<AheadTask, 'kind' | 'name' | 'minutes'>;

/**
 * What is to be done before the evening, as one says it.
 *
 * @example aheadText({ kind: 'soak', name: 'chickpeas', minutes: 480 }) // 'Soak the chickpeas in plenty of cold water: 8 h'
 */
export function aheadText({ kind, name, minutes }: Said): Text {
  const lies = inHours(minutes / 60);
  switch (kind) {
    case 'thaw-fridge':
      return say('ahead.take-the-out-of-the', { name, lies });
    case 'thaw-water':
      return say('ahead.thaw-the-in-cold-water', { name, lies });
    case 'thaw-stock':
      return say('ahead.take-the-out-of-the-freezer', { name, lies });
    case 'rub':
      return say('ahead.rub-the-and-back-into', { name, lies });
    case 'salt':
      return say('ahead.salt-the-and-back-into', { name, lies });
    case 'marinate':
      return say('ahead.put-the-into-its-marinade', { name, lies });
    case 'soak':
      return say('ahead.soak-the-in-plenty-of', { name, lies });
    case 'cook':
      return say('ahead.cook-the-and-put-it', { name, duration: quantity('duration', minutes) });
    case 'warm':
      return say('ahead.lift-the-fat-off-the', { name, duration: quantity('duration', minutes) });
  }
}

/** What can hurt at that task; local authorities come first. Null where nothing can. */
export function aheadCaution({ kind }: Pick<Said, 'kind'>): Text | null {
  switch (kind) {
    case 'thaw-fridge':
      return say('ahead.never-on-the-counter-what');
    case 'thaw-water':
      return say('ahead.tightly-wrapped-the-water-cold');
    case 'marinate':
      return say('ahead.in-the-fridge-what-held');
    case 'warm':
      return CAUTION_WORDS['warm-through'];
    case 'cook':
      return say('ahead.into-shallow-containers-at-once');
    case 'thaw-stock':
      return say('ahead.never-on-the-counter-it');
    case 'rub':
    case 'salt':
    case 'soak':
      return null;
  }
}

/** The same of something cooked that was kept: nothing of it is raw. */
export function keptCaution(task: Pick<Said, 'kind'>): Text | null {
  return task.kind === 'thaw-fridge' ? say('ahead.never-on-the-counter-thawed') : aheadCaution(task);
}

/** What it means that something was late, and what the plan then reckons with. */
export function missedText({ task: { kind, name }, missed }: Pick<Late, 'task' | 'missed'>): Text {
  return joined(
    [
      {
        'thaw-fridge': say('ahead.the-is-still-in-the', { name }),
        'thaw-water': say('ahead.the-is-not-in-its', { name }),
        'thaw-stock': say('ahead.the-is-still-in-the', { name }),
        rub: say('ahead.the-is-not-rubbed-yet', { name }),
        salt: say('ahead.the-is-not-salted-yet', { name }),
        marinate: say('ahead.the-is-not-in-its-marinade', { name }),
        soak: say('ahead.the-were-not-soaked-long', { name }),
        cook: say('ahead.the-is-not-cooked-yet', { name }),
        warm: say('ahead.the-is-not-on-the', { name }),
      }[kind],
      meaning(missed),
    ],
    ': ',
  );
}

function meaning(missed: Missed): Text {
  switch (missed.code) {
    case 'in-water':
      return say('ahead.the-fridge-takes-too-long', { duration: quantity('duration', missed.minutes) });
    case 'still-frozen':
      return say('ahead.it-will-be-frozen-in');
    case 'salted-later':
      return say('ahead.salt-now-lies-on-it', { duration: quantity('duration', missed.minutes) });
    case 'salted-at-the-pot':
      return say('ahead.salt-it-when-it-goes');
    case 'marinated-shorter':
      return say('ahead.it-lies-in-it-for', { inHours: inHours(missed.hours) });
    case 'rubbed-shorter':
      return say('ahead.the-rub-lies-on-it', { inHours: inHours(missed.hours) });
    case 'rubbed-at-the-pot':
      return say('ahead.rub-it-at-the-board');
    case 'melt-in-pan':
      return say('ahead.melt-it-in-a-pan', { duration: quantity('duration', missed.minutes) });
    case 'not-marinated':
      return say('ahead.it-is-cooked-without');
    case 'unsoaked':
      return say('ahead.they-are-cooked-as-and', { name: lowered(grainById(missed.grain).name) });
    case 'in-fridge-later':
      return say('ahead.begun-now-it-is-in', { duration: quantity('duration', missed.minutes) });
    case 'eaten-later':
      return say('ahead.begun-now-it-is-eaten', { duration: quantity('duration', missed.minutes) });
    case 'soak-quickly':
      return say('ahead.boil-them-for-two-minutes');
  }
}
