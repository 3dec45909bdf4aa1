import type { AgainSteps, Alarm, Guide, GuideStep, GuideTrack, SectionName } from '../clock/guide-step';
import type { ScheduledTask } from '../clock/schedule';
import { grainById } from '../larder/grains';
import { liquidWord } from '../larder/liquids';
import { vegetableById } from '../larder/vegetables';
import type { Plan } from '../plan/plan';
import { aromaticSteps } from '../stations/aromatics';
import { beforeTheMeat, prepSteps } from '../stations/prep';
import { listed, lowerFirst, upperFirst } from '../units/list';
import type { Printer } from '../units/quantity';
import type { Forecast } from './forecast-document';

/** A second pressure stage is locked as the first: kept here so that both read alike. */
const LOCK = 'Wipe the rim, seat the gasket, lock the lid';
/** Shares of a task's minutes that its parts take. Common practice. */
const SAUTE_OFF_MINUTES = 0.25;
const LOCK_MINUTES = 0.5;
const VALVE_MINUTES = 0.25;
/** A hand at the valve; the rest is the pin falling. */
const VENT_MINUTES = 0.25;
const LID_MINUTES = 0.5;

type Draft = Partial<GuideStep> & Pick<GuideStep, 'id' | 'section' | 'title' | 'button' | 'done' | 'minutes'>;

const REST: Omit<GuideStep, keyof Pick<GuideStep, 'id' | 'section' | 'title' | 'button' | 'done' | 'minutes'>> = {
  task: '',
  detail: '',
  counts: false,
  handsOn: true,
  alarm: 'none',
  skips: 0,
  otherwise: null,
  earlyFromMinute: null,
  runsFrom: null,
  endsByItself: false,
  caution: null,
  waitMinutes: 0,
};

/** Waits with a countdown. */
const waits = (alarm: Alarm): Pick<GuideStep, 'counts' | 'handsOn' | 'alarm'> => ({
  counts: true,
  handsOn: false,
  alarm,
});

interface Ground {
  readonly f: Forecast;
  readonly plan: Plan;
  readonly print: Printer;
  readonly stovetop: boolean;
  /** The text of a caution that applies to this plan, or null. */
  readonly caution: (code: string) => string | null;
}

type Build = (ground: Ground, task: ScheduledTask) => Draft[];

function board({ plan, print, caution }: Ground, task: ScheduledTask): Draft[] {
  const meat = task.id === 'board-meat';
  const steps = prepSteps(beforeTheMeat(plan), print).filter((step) => step.when === 'board' && step.meat === meat);
  const [first, ...more] = steps.map(({ text }) => text);
  return [
    {
      id: task.id,
      section: 'Board',
      title: first ?? task.label,
      detail: [...more, ...(meat ? [] : ['Into bowls, by when they go in'])].join('. '),
      button: meat ? 'The meat is ready' : 'In their bowls',
      done: 'stepDone',
      minutes: task.minutes,
      caution: meat ? (caution('sugar-rub') ?? caution('board-order')) : caution('board-order'),
    },
  ];
}

function heatPot({ stovetop }: Ground, task: ScheduledTask): Draft[] {
  return [
    {
      id: 'heat-on',
      section: 'Heat',
      title: stovetop ? 'Burner on high under the empty pot' : 'Sauté on its highest, the pot empty',
      detail: 'It heats while you dry the meat.',
      button: 'It is on',
      done: 'stepDone',
      minutes: 0,
      earlyFromMinute: task.startMinute,
    },
    {
      id: 'heat-hot',
      section: 'Heat',
      title: 'Wait until a scrap of vegetable sizzles, then oil',
      button: 'It sizzles',
      done: 'stepDone',
      minutes: task.minutes,
      ...waits('turn'),
      runsFrom: 'heat-on',
    },
  ];
}

const FACE_HOW = 'Turn when it lets go by itself; if it sticks, it is not ready.';

function sear({ f, plan, caution }: Ground, task: ScheduledTask): Draft[] {
  const batch = Number(task.id.slice('sear-'.length));
  const { faces, batches, batchSizes, minutesPerBatch } = f.sear;
  const recovery = task.minutes - minutesPerBatch;
  const pieces = batchSizes[batch - 1] ?? f.sear.perBatch;
  const count = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`;
  const which = batches > 1 ? `Batch ${batch} of ${batches}: ` : '';
  const pan = plan.sear.where === 'pan';
  const steps = faces.map((minutes, face): Draft => {
    const last = face === faces.length - 1;
    const stirred = faces.length === 1;
    return {
      id: `${task.id}-${face + 1}`,
      section: 'Sear' as const,
      title:
        face === 0
          ? `${which}${count} in${pan ? ' the pan' : ''}${pieces > 1 ? ', none touching' : ''}. ${stirred ? 'Stir until the edges lose their colour.' : 'Leave them alone.'}`
          : `${which}side ${face + 1} of ${faces.length}. Leave ${pieces === 1 ? 'it' : 'them'} alone.`,
      detail: stirred
        ? 'They are not to brown, only to lose their rawness.'
        : last
          ? 'Keep the plate’s juices.'
          : FACE_HOW,
      button: last ? (stirred ? 'No red left: out' : 'Brown: onto the plate') : 'It lets go: turned',
      done: last ? ('batchDone' as const) : ('flipped' as const),
      minutes,
      counts: true,
      alarm: 'turn' as const,
      caution: face === 0 && batch === 1 ? (caution('sugar-rub') ?? caution('no-frying')) : null,
    };
  });
  if (recovery < 0.01) return steps;
  return [
    ...steps,
    {
      id: `${task.id}-recover`,
      section: 'Sear',
      title: 'Let the base come back to heat, a little oil',
      button: 'It sizzles again',
      done: 'stepDone',
      minutes: recovery,
      counts: true,
      alarm: 'turn',
    },
  ];
}

const AROMATIC_BUTTON: Readonly<Record<string, string>> = {
  bones: 'Brown all round',
  base: 'Soft and clear',
  'aside-base': 'Soft, and set aside',
  warm: 'It smells',
  spice: 'It smells',
  garlic: 'It smells: liquid now',
};

function aromatics({ plan, caution }: Ground, task: ScheduledTask): Draft[] {
  const id = task.id.slice('aromatics-'.length);
  const step = aromaticSteps(plan.aromatics).find((one) => one.id === id);
  return [
    {
      id: task.id,
      section: 'Aromatics',
      title: `${upperFirst(listed((step?.what ?? [task.label]).map(lowerFirst)))} in; stir`,
      detail: step?.note ?? '',
      button: AROMATIC_BUTTON[id] ?? 'Done',
      done: 'stepDone',
      minutes: task.minutes,
      counts: true,
      alarm: 'turn',
      caution: caution('chilli-fumes'),
    },
  ];
}

function deglaze({ plan, print, caution }: Ground, task: ScheduledTask): Draft[] {
  const { deglaze: with_ } = plan;
  const liquid = with_ ? `${print.quantity('volume', with_.ml)} of ${liquidWord(with_.liquid)}` : 'the liquid';
  const scraped = with_?.scraped ?? true;
  return [
    {
      id: 'deglaze',
      section: 'Deglaze',
      title: scraped
        ? `Pour ${liquid}; scrape with a wooden edge until nothing sticks`
        : `Pour ${liquid}, not scraped, as planned`,
      detail: scraped ? 'What sticks now burns later. Wine boils until its sharp smell is gone.' : '',
      button: scraped ? 'Scraped clean' : 'Poured',
      done: 'stepDone',
      minutes: task.minutes,
      caution: scraped ? caution('alcohol-stays') : caution('burn-likely'),
    },
  ];
}

function load(ground: Ground, task: ScheduledTask): Draft[] {
  const { f, plan, print, stovetop, caution } = ground;
  const heated = f.sear.preheatMinutes > 0;
  const volume = (ml: number): string => print.quantity('volume', ml);
  const liquids = plan.liquids
    .filter(({ ml }) => ml > 0)
    .map(({ liquid, ml }) => `${volume(ml)} of ${liquidWord(liquid)}`);
  const named = (when: string): string[] =>
    plan.additions
      .filter((item) => item.when === when && item.grams > 0)
      .map((item) => `${print.quantity('mass', item.grams)} of ${liquidWord(item.ingredient)}`);
  const plants = [
    ...plan.vegetables
      .filter(({ place }) => place === 'start' || place === 'flavour-only')
      .map(({ vegetable }) => vegetableById(vegetable).name.toLowerCase()),
    ...plan.grains.filter(({ place }) => place === 'start').map(({ grain }) => grainById(grain).name.toLowerCase()),
  ];
  const leaves = aromaticSteps(plan.aromatics).find(({ group }) => group === 'leaf');
  const stirred = named('stirred-in');
  const top = [...plants, ...named('on-top')];
  const details = [
    stirred.length > 0 ? `Stir in ${listed(stirred)}` : '',
    leaves ? `${upperFirst(listed(leaves.what.map(lowerFirst)))} with the liquid` : '',
    plan.rack ? 'Meat on the rack' : '',
    top.length > 0 ? `On top, not stirred: ${listed(top)}` : '',
  ].filter((text) => text !== '');
  const marinade = plan.meat.marinade?.pouredIn === true ? ['its marinade'] : [];
  const off = heated ? SAUTE_OFF_MINUTES : 0;
  return [
    ...(heated
      ? [
          {
            id: 'saute-off',
            section: 'Load' as const,
            title: stovetop ? 'Heat off' : 'Sauté off: press cancel',
            button: stovetop ? 'Heat is off' : 'Sauté is off',
            done: 'sauteOff' as const,
            minutes: off,
          },
        ]
      : []),
    {
      id: 'load',
      section: 'Load',
      title: `Meat ${plan.sear.school === 'none' ? 'in' : 'back in with its juices'}${liquids.length + marinade.length > 0 ? `; pour ${listed([...liquids, ...marinade])}` : ''}`,
      detail: details.join('. '),
      button: 'All in',
      done: 'stepDone',
      minutes: task.minutes - off - LOCK_MINUTES - VALVE_MINUTES,
      caution: caution('over-fill') ?? caution('under-minimum') ?? caution('kidney-bean') ?? caution('burn-likely'),
    },
    {
      id: 'lock',
      section: 'Load',
      title: LOCK,
      button: 'Lid is locked',
      done: 'lidLocked',
      minutes: LOCK_MINUTES,
      caution: caution('check-gasket'),
    },
    {
      id: 'valve',
      section: 'Load',
      title: stovetop
        ? `Close the valve; heat to ${plan.heat === 'medium' ? 'medium' : 'full'}`
        : `Close the valve; high pressure, ${f.pressureMinutes} minutes, keep-warm off, start`,
      detail: 'An open valve is the commonest mistake.',
      button: stovetop ? 'Valve closed, heat on' : 'Valve closed, started',
      done: 'valveClosed',
      minutes: VALVE_MINUTES,
      caution: caution('watch-burner'),
    },
  ];
}

function heating({ f, plan }: Ground, task: ScheduledTask): Draft[] {
  const toPin = Math.min(task.minutes, f.pot.minutesToPin);
  const counts = plan.cooker.timerStarts === 'pressure' && task.minutes - toPin > 0.01;
  return [
    {
      id: 'pin',
      section: 'Coming to pressure',
      title: 'It heats until the pin is up. Nothing to do here.',
      detail: 'The minutes do not count yet.',
      button: 'Pin is up',
      done: 'pinUp',
      minutes: counts ? toPin : task.minutes,
      ...waits('turn'),
    },
    ...(counts
      ? [
          {
            id: 'timer',
            section: 'Coming to pressure' as const,
            title: 'Pin is up. The cooker counts at full pressure',
            detail: 'Look for its countdown.',
            button: 'It counts',
            done: 'timerStarted' as const,
            minutes: task.minutes - toPin,
            ...waits('turn'),
          },
        ]
      : []),
  ];
}

/** Nothing is done while it is locked; on a burner the hand that turns it off is the cook's. */
function pressure({ stovetop }: Ground, task: ScheduledTask): Draft[] {
  return [
    {
      id: task.id,
      section: task.id === 'pressure' ? 'Under pressure' : 'Second run',
      title: stovetop ? 'Heat down until it only hisses, and stay near' : 'Under pressure. Leave it alone.',
      button: stovetop ? 'Heat is off' : 'It has ended',
      done: 'heaterOff',
      minutes: task.minutes,
      ...waits(stovetop ? 'danger' : 'turn'),
      endsByItself: !stovetop,
    },
  ];
}

const HANDS = 'Hands and face away from the valve; a spoon handle turns it.';

function ventAndFall(prefix: string, section: SectionName, minutes: number, caution: string | null): Draft[] {
  return [
    {
      id: `${prefix}vent`,
      section,
      title: 'Open the valve, hands to the side',
      detail: HANDS,
      button: 'Valve opened',
      done: 'ventOpened',
      minutes: Math.min(VENT_MINUTES, minutes),
      alarm: 'turn',
      caution,
    },
    fall(prefix, section, Math.max(0, minutes - VENT_MINUTES)),
  ];
}

function fall(prefix: string, section: SectionName, minutes: number): Draft {
  return {
    id: `${prefix}pin-down`,
    section,
    title: 'It vents. Wait until the pin has fallen',
    detail: 'The lid stays shut until then.',
    button: 'Pin is down',
    done: 'pinDown',
    minutes,
    ...waits('turn'),
  };
}

function release({ plan, caution }: Ground, task: ScheduledTask): Draft[] {
  const lid = caution('lid-steam');
  if (plan.release.method === 'quick') {
    return ventAndFall('', 'Letting down', task.minutes, caution('quick-foams') ?? lid);
  }
  const leave = {
    id: 'natural',
    section: 'Letting down' as const,
    ...waits('turn'),
    detail: plan.cooker.kind === 'electric' ? 'See that keep-warm is off.' : 'Lift it off the burner.',
    caution: lid,
  };
  if (plan.release.method === 'natural') {
    return [
      {
        ...leave,
        title: 'Leave it alone until the pin has fallen',
        button: 'Pin is down',
        done: 'pinDown',
        minutes: task.minutes,
      },
    ];
  }
  const { naturalMinutes } = plan.release;
  const title = 'Leave it alone. Then open the valve, hands to the side.';
  const opened = { button: 'Valve opened', done: 'ventOpened' as const };
  const fell = { button: 'Pin fell by itself', done: 'pinDown' as const };
  const alone = task.minutes <= naturalMinutes + 0.01;
  return [
    alone
      ? {
          ...leave,
          ...fell,
          title: `Leave it alone until the pin falls. Not down in ${Math.round(naturalMinutes)} minutes: open the valve, hands to the side.`,
          minutes: task.minutes,
          skips: 1,
          otherwise: { ...opened, skips: 0 },
        }
      : { ...leave, ...opened, title, minutes: naturalMinutes, otherwise: { ...fell, skips: 1 } },
    fall('', 'Letting down', alone ? 0 : task.minutes - naturalMinutes),
  ];
}

function open({ caution }: Ground, task: ScheduledTask): Draft[] {
  return [
    {
      id: 'open',
      section: 'The check',
      title: 'Lid off, tilted away from your face',
      detail: 'If it does not turn, the pin is not down: never force it.',
      button: 'Lid is off',
      done: 'lidOpened',
      minutes: LID_MINUTES,
      caution: caution('lid-steam'),
    },
    {
      id: 'check',
      section: 'The check',
      title: 'Try a piece. What is it like?',
      detail: 'A fork in the thickest piece, and turn it.',
      button: 'It will do',
      done: 'checked',
      minutes: task.minutes - LID_MINUTES,
      caution: caution('stopped-cook'),
    },
  ];
}

/** What goes in at a stage, with how to cut it. */
function going(f: Forecast, place: string, print: Printer): string {
  const items = f.stages.find((stage) => stage.place === place)?.items ?? [];
  return listed(
    items.map(({ name, vegetable, sizeCm }) =>
      vegetable === undefined ? lowerFirst(name) : `${lowerFirst(name)} in ${print.quantity('length', sizeCm)} pieces`,
    ),
  );
}

function secondLoad({ f, plan, print, caution, stovetop }: Ground, task: ScheduledTask): Draft[] {
  const minutes = f.stages.find(({ place }) => place === 'second-run')?.minutes ?? 0;
  return [
    {
      id: 'second-load',
      section: 'Second run',
      title: `${plan.meatInSecondRun === 'out' ? 'Meat out, under foil; ' : ''}${going(f, 'second-run', print)} in`,
      detail: plan.brothOutMl > 0 ? `Take ${print.quantity('volume', plan.brothOutMl)} of broth out first.` : '',
      button: 'All in',
      done: 'stepDone',
      minutes: Math.max(0, task.minutes - LOCK_MINUTES),
      caution: caution('over-fill') ?? caution('under-minimum'),
    },
    {
      id: 'second-lock',
      section: 'Second run',
      title: `Lid locked, valve closed, ${stovetop ? 'full heat' : minutes === 0 ? 'start: no minutes, only up to pressure' : `${minutes} minutes, start`}`,
      button: 'Second run begun',
      done: 'secondRun',
      minutes: Math.min(LOCK_MINUTES, task.minutes),
    },
  ];
}

function secondHeating({ plan, stovetop }: Ground, task: ScheduledTask): Draft[] {
  const pin = plan.cooker.timerStarts === 'pin';
  return [
    {
      id: 'second-pin',
      section: 'Second run',
      title: pin ? 'It comes up again until the pin is up' : 'It comes up again until the cooker counts',
      detail: stovetop ? 'Then turn the heat down.' : '',
      button: pin ? 'Pin is up' : 'It counts',
      done: pin ? 'pinUp' : 'timerStarted',
      minutes: task.minutes,
      ...waits('turn'),
    },
  ];
}

const secondRelease: Build = ({ caution }, task) =>
  ventAndFall('second-', 'Second run', task.minutes, caution('lid-steam'));

const secondOpen: Build = ({ caution }, task) => [
  {
    id: 'second-open',
    section: 'Second run',
    title: 'Lid off, tilted away from your face',
    button: 'Lid is off',
    done: 'lidOpened',
    minutes: task.minutes,
    caution: caution('lid-steam'),
  },
];

const simmerLoad: Build = ({ f, print }, task) => [
  {
    id: task.id,
    section: 'Simmer',
    title: upperFirst(`${going(f, 'simmer', print)} in, the lid off`),
    button: 'All in',
    done: 'stepDone',
    minutes: task.minutes,
  },
];

const simmerHeating: Build = (_, task) => [
  {
    id: task.id,
    section: 'Simmer',
    title: 'Bring it back to the boil',
    button: 'It boils',
    done: 'stepDone',
    minutes: task.minutes,
    ...waits('turn'),
  },
];

const simmer: Build = (_, task) => [
  {
    id: task.id,
    section: 'Simmer',
    title: 'Down to a gentle simmer; try them before the time is up',
    button: 'They are done',
    done: 'stepDone',
    minutes: task.minutes,
    ...waits('turn'),
  },
];

function finish({ f, print, caution }: Ground, task: ScheduledTask): Draft[] {
  const id = task.id.replace(/^finish-\d+-/, '');
  const { sauceMl } = f.finish;
  const season = id === 'season';
  const counts = id === 'reduce' || id === 'rest';
  return [
    {
      id: task.id,
      section: 'Sauce',
      title: task.label,
      detail: season ? `About ${print.quantity('volume', Math.round(sauceMl / 10) * 10)} of sauce.` : '',
      button: season ? 'Tasted: it is right' : id === 'rest' ? 'Rested' : 'Done',
      done: season ? 'tasted' : 'stepDone',
      minutes: task.minutes,
      ...(counts ? waits('turn') : {}),
      caution:
        id === 'blend'
          ? 'Hot liquid in a closed blender blows its lid: half full at most, vented, a cloth over it.'
          : id === 'season'
            ? caution('alcohol-stays')
            : null,
    },
  ];
}

const plate: Build = ({ f, caution, plan }, task) => [
  {
    id: task.id,
    section: 'Plate',
    title:
      plan.target === 'pulls'
        ? 'Pull it on a separate plate, back into some of the sauce, and serve'
        : 'Plate and serve',
    detail: f.finish.platingText,
    button: 'On the table',
    done: 'served',
    minutes: task.minutes,
    caution: caution('bone-splinters') ?? caution('cooling'),
  },
];

/** How each task of the clock becomes steps at the pot: by its id, or by how its id begins. */
const BUILDERS: readonly (readonly [RegExp, Build])[] = [
  [/^board-/, board],
  [/^heat-pot$/, heatPot],
  [/^sear-/, sear],
  [/^aromatics-/, aromatics],
  [/^deglaze$/, deglaze],
  [/^load$/, load],
  [/^heating$/, heating],
  [/^(second-)?pressure$/, pressure],
  [/^release$/, release],
  [/^open$/, open],
  [/^second-load$/, secondLoad],
  [/^second-heating$/, secondHeating],
  [/^second-release$/, secondRelease],
  [/^second-open$/, secondOpen],
  [/^simmer-load$/, simmerLoad],
  [/^simmer-heating$/, simmerHeating],
  [/^simmer$/, simmer],
  [/^finish-|^rest$/, finish],
  [/^plate$/, plate],
];

/** Beside the main work: a side dish by its number, and a sauce made apart. */
const trackOf = (id: string): string | null => /^(side-\d+|apart-\d+|later-\d+)-/.exec(id)?.[1] ?? null;

function tracksOf(f: Forecast): GuideTrack[] {
  const tracks = new Map<string, { id: string; name: string; steps: GuideTrack['steps'][number][] }>();
  for (const task of f.clock.tasks) {
    const id = trackOf(task.id);
    if (id === null) continue;
    const [name, ...rest] = task.label.split(': ');
    const side = id.startsWith('side-') ? f.plan.sides[Number(id.slice('side-'.length)) - 1] : undefined;
    const own = id.startsWith('later-') ? 'Board' : (name ?? '');
    const track = tracks.get(id) ?? { id, name: side?.name ?? own, steps: [] };
    track.steps.push({
      id: task.id,
      title: side ? task.label.slice(side.name.length + 2) : rest.length > 0 ? rest.join(': ') : task.label,
      minutes: task.minutes,
      handsOn: task.handsOn,
      beforeDinner: f.clock.totalMinutes - task.startMinute,
    });
    tracks.set(id, track);
  }
  return [...tracks.values()];
}

/** The main steps in the order they are done: heating the pot stands where the sear waits for it. */
function mainTasks(f: Forecast): ScheduledTask[] {
  const main = f.clock.tasks.filter(({ id }) => trackOf(id) === null);
  const heat = main.find(({ id }) => id === 'heat-pot');
  const rest = main.filter((task) => task !== heat);
  if (!heat) return rest;
  const at = rest.findIndex(({ after }) => after.includes('heat-pot'));
  return at < 0 ? [heat, ...rest] : [...rest.slice(0, at), heat, ...rest.slice(at)];
}

/** Minutes for a burnt base: let down, lift out, scrape, back in. Common practice. */
const CLEARING_MINUTES = 8;

function againSteps(ground: Ground): AgainSteps {
  const { stovetop, caution, plan } = ground;
  const step = (draft: Draft): GuideStep => ({ ...REST, ...draft });
  const pin = plan.cooker.timerStarts === 'pin';
  const [vent, pinDown] = ventAndFall('', 'Letting down', 2, caution('lid-steam')) as [Draft, Draft];
  const task = { id: 'open', minutes: 2 } as ScheduledTask;
  const [lid, check] = open(ground, task) as [Draft, Draft];
  return {
    clear: step({
      id: 'clear',
      section: 'Load',
      title: 'Let it down, lift the meat out, scrape the base clean, all back in with more liquid',
      detail: 'Partly cooked meat is never put aside: go on at once.',
      button: 'Clean, and all back in',
      done: 'stepDone',
      minutes: CLEARING_MINUTES,
      caution: caution('lid-steam'),
    }),
    lock: step({
      id: 'lock',
      section: 'Load',
      title: `${LOCK}; valve closed, ${stovetop ? 'heat on' : 'start'}`,
      button: 'Locked, and begun',
      done: 'lidLocked',
      minutes: LOCK_MINUTES,
      caution: caution('check-gasket'),
    }),
    pin: step({
      id: 'pin',
      section: 'Coming to pressure',
      title: pin ? 'It comes up again until the pin is up' : 'It comes up again until the cooker counts',
      button: pin ? 'Pin is up' : 'It counts',
      done: pin ? 'pinUp' : 'timerStarted',
      minutes: 0,
      ...waits('turn'),
    }),
    pressure: step({ ...(pressure(ground, { id: 'pressure', minutes: 0 } as ScheduledTask)[0] as Draft) }),
    vent: step(vent),
    pinDown: step(pinDown),
    open: step(lid),
    check: step(check),
  };
}

/**
 * The guide of a cook: every step in order, worded as what is done and what has happened, with the plan's minutes.
 *
 * @param f the plan's forecast
 * @param print the cook's units
 * @returns steps whose minutes add up to the plan's own
 * @example guideOf(forecast(plan), printerFor('metric')).steps.at(-1)?.done // 'served'
 */
export function guideOf(f: Forecast, print: Printer): Guide {
  const plan = { ...f.plan, ...f.placed };
  const ground: Ground = {
    f,
    plan,
    print,
    stovetop: plan.cooker.kind === 'stovetop',
    caution: (code) => f.cautions.find((one) => one.code === code)?.text ?? null,
  };
  let end = 0;
  const steps = mainTasks(f).flatMap((task) => {
    const build = BUILDERS.find(([pattern]) => pattern.test(task.id))?.[1];
    if (!build) throw new RangeError(`the guide has no step for the task "${task.id}"`);
    const beside = task.id === 'heat-pot';
    const wait = beside ? 0 : Math.max(0, task.startMinute - end);
    if (!beside) end = task.startMinute + task.minutes;
    return build(ground, task).map((draft, i): GuideStep => ({
      ...REST,
      ...draft,
      task: task.id,
      waitMinutes: i === 0 && wait > 0.05 ? wait : 0,
    }));
  });
  return {
    format: 'hervir/guide',
    version: 1,
    steps,
    tracks: tracksOf(f),
    again: againSteps(ground),
    heatingMinutes: plan.cooker.timerStarts === 'pin' ? f.pot.minutesToPin : f.pot.minutesToPressure,
    totalMinutes: f.clock.totalMinutes,
    eatAt: f.clock.eatAt,
    wanted: plan.target,
    electric: plan.cooker.kind === 'electric',
  };
}
