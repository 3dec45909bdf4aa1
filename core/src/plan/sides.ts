import type { SideTask } from './plan';

/** A side dish as it is offered: its steps follow one another and end with the meat. */
export interface SideDish {
  readonly name: string;
  readonly tasks: readonly SideTask[];
}

/** name, then steps: label, minutes, hands-on, where. Common practice of the trade, for four to six. */
export const SIDES: readonly SideDish[] = [
  {
    name: 'Rice',
    tasks: [
      { label: 'Rinse, cold water on, up to the boil', minutes: 6, handsOn: false, resource: 'side-burner' },
      { label: 'Lid on, lowest heat', minutes: 15, handsOn: false, resource: 'side-burner' },
      { label: 'Heat off, stand', minutes: 8, handsOn: false, resource: 'side-burner' },
    ],
  },
  {
    name: 'Polenta',
    tasks: [
      { label: 'Boil the water', minutes: 8, handsOn: false, resource: 'side-burner' },
      { label: 'Rain it in, whisking', minutes: 3, handsOn: true, resource: 'side-burner' },
      { label: 'Let it swell, stir now and then', minutes: 22, handsOn: false, resource: 'side-burner' },
    ],
  },
  {
    name: 'Mash',
    tasks: [
      { label: 'Peel and cut the potatoes', minutes: 8, handsOn: true, resource: 'board' },
      { label: 'Boil them in salted water', minutes: 22, handsOn: false, resource: 'side-burner' },
      { label: 'Drain and mash with hot milk', minutes: 4, handsOn: true, resource: 'hands' },
    ],
  },
  {
    name: 'Bread',
    tasks: [{ label: 'Warm it in the oven', minutes: 8, handsOn: false, resource: 'side-burner' }],
  },
  {
    name: 'Braised greens',
    tasks: [
      { label: 'Wash and cut the greens', minutes: 5, handsOn: true, resource: 'board' },
      { label: 'Into hot oil with a splash of water, lid on', minutes: 12, handsOn: false, resource: 'side-burner' },
    ],
  },
];
