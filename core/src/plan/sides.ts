import { say, type Text } from '@hervir/language/message';
import type { SideTask } from './plan';

/** A side dish as it is offered: its steps follow one another and end with the meat. */
export interface SideDish {
  readonly name: Text;
  readonly tasks: readonly (Omit<SideTask, 'label'> & { readonly label: Text })[];
}

/** name, then steps: label, minutes, hands-on, where. Common practice of the trade, for four to six. */
export const SIDES: readonly SideDish[] = [
  {
    name: say('sides.rice'),
    tasks: [
      { label: say('sides.rinse-cold-water-on-up'), minutes: 6, handsOn: false, resource: 'side-burner' },
      { label: say('sides.lid-on-lowest-heat'), minutes: 15, handsOn: false, resource: 'side-burner' },
      { label: say('sides.heat-off-stand'), minutes: 8, handsOn: false, resource: 'side-burner' },
    ],
  },
  {
    name: say('sides.polenta'),
    tasks: [
      { label: say('sides.boil-the-water'), minutes: 8, handsOn: false, resource: 'side-burner' },
      { label: say('sides.rain-it-in-whisking'), minutes: 3, handsOn: true, resource: 'side-burner' },
      { label: say('sides.let-it-swell-stir-now'), minutes: 22, handsOn: false, resource: 'side-burner' },
    ],
  },
  {
    name: say('sides.mash'),
    tasks: [
      { label: say('sides.peel-and-cut-the-potatoes'), minutes: 8, handsOn: true, resource: 'board' },
      { label: say('sides.boil-them-in-salted-water'), minutes: 22, handsOn: false, resource: 'side-burner' },
      { label: say('sides.drain-and-mash-with-hot'), minutes: 4, handsOn: true, resource: 'hands' },
    ],
  },
  {
    name: say('sides.bread'),
    tasks: [{ label: say('sides.warm-it-in-the-oven'), minutes: 8, handsOn: false, resource: 'side-burner' }],
  },
  {
    name: say('sides.braised-greens'),
    tasks: [
      { label: say('sides.wash-and-cut-the-greens'), minutes: 5, handsOn: true, resource: 'board' },
      { label: say('sides.into-hot-oil-with-a'), minutes: 12, handsOn: false, resource: 'side-burner' },
    ],
  },
];
