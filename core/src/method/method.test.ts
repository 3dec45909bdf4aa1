import * as fc from 'fast-check';
import { forecast } from '../braise/forecast/forecast';
import type { Forecast } from '../braise/forecast/forecast-document';
import { guideOf } from '../braise/guide/guide';
import { isTheDay, type Guide } from '../clock/guide-step';
import { aromaticKind } from '../catalog/aromatics';
import { cutById } from '../catalog/cuts';
import { grainById } from '../catalog/grains';
import { TARGET_BAND } from '../meat/tenderness';
import type { Plan } from '../plan/plan';
import { PlanError } from '../plan/plan-error';
import { stageOf } from '../plan/stage-settings';
import type { Portion, PortionId } from '../plan/portions';
import { anyPlan, plansAsked } from '../testing/any-plan';
import { planFor } from '../testing/fixtures';
import { moveOf, portionsIn, type Move } from './moves';
import { stepsOf, type Step } from './step';
import { inBowls, inOrder, placesAfter, type Places } from './whereabouts';

/** Random plans that can be reckoned; one that cannot is refused with its field, which is as good. */
function reckonedPlans(): { readonly plan: Plan; readonly f: Forecast }[] {
  return fc.sample(anyPlan(), plansAsked()).flatMap((plan) => {
    try {
      const f = forecast(plan);
      return [{ plan: { ...plan, ...f.placed }, f }];
    } catch (error) {
      if (error instanceof PlanError) return [];
      throw error;
    }
  });
}

let all: ReturnType<typeof reckonedPlans> = [];
beforeAll(() => {
  // Reckoned once, asked many times.
  all = reckonedPlans();
});

/** What must hold, asked of every one of them; a plan for which it does not is told whole, so that it can be looked at. */
function holds(name: string, check: (f: Forecast, plan: Plan) => void): void {
  test(name, () => {
    // A generator whose plans are all refused would show nothing.
    expect(all.length).toBeGreaterThan(plansAsked().numRuns / 3);
    for (const { plan, f } of all) {
      try {
        check(f, plan);
      } catch (error) {
        throw new Error(`${(error as Error).message}\n\n${JSON.stringify(plan)}`, { cause: error });
      }
    }
  });
}

/** Every step with where everything is before it. */
function walked(f: Forecast): { readonly step: Step; readonly before: Places; readonly after: Places }[] {
  let before = inBowls(f.portions);
  return inOrder(f.method).map((step) => {
    const after = placesAfter(before, step, f.portions);
    const one = { step, before, after };
    before = after;
    return one;
  });
}

const movesOf = (f: Forecast): Move[] => stepsOf(f.method).flatMap(({ moves }) => moves);
const kindOf = (f: Forecast, id: PortionId): Portion['kind'] | undefined =>
  f.portions.find((one) => one.id === id)?.kind;
const steps = (f: Forecast): Guide['steps'] => guideOf(f).steps;

describe('what must hold for every plan', () => {
  holds('1: every portion leaves its bowl once, by a move that is told, and ends somewhere', (f) => {
    const left = new Map<PortionId, number>();
    for (const { before, after } of walked(f)) {
      for (const [id, at] of after)
        if (before.get(id) === 'bowl' && at !== 'bowl') left.set(id, (left.get(id) ?? 0) + 1);
    }
    for (const { id, name, ends } of f.portions) {
      expect([name, left.get(id), ends !== 'bowl']).toEqual([name, 1, true]);
      expect(['plate', 'sauce', 'fished-out', 'kept', 'thrown']).toContain(ends);
    }
    // What the method moves, the guide and its tracks tell: the same list.
    const guides = [guideOf(f), ...(f.nextDay === null ? [] : [guideOf(f, 'day')])];
    const told = guides.flatMap((guide) => [
      ...guide.steps.flatMap(({ moves }) => moves),
      ...guide.tracks.flatMap((track) => track.steps.flatMap(({ moves }) => moves)),
    ]);
    const ahead = f.method.ahead.flatMap(({ moves }) => moves);
    expect(new Set([...told, ...ahead])).toEqual(new Set(movesOf(f)));
  });

  holds(
    '1: broth that is taken out is poured over, named as kept, or thrown away; it comes back where it says so',
    (f, plan) => {
      const ladled = movesOf(f).flatMap((move) => (move.kind === 'ladle' ? [move] : []));
      const over = ladled.filter(({ then }) => then === 'poured-over').reduce((sum, { ml }) => sum + ml, 0);
      const plate = movesOf(f).find(({ kind }) => kind === 'plate');
      expect(plate?.kind === 'plate' ? plate.brothMl : -1).toBe(over);
      const done = f.stages.map(({ place }) => place);
      for (const stage of plan.stages) {
        if (stage.takeOutMl > 0 && done.includes(stage.id)) {
          expect(ladled.some(({ stage: at, ml }) => at === stage.id && ml === stage.takeOutMl)).toBe(true);
        }
      }
    },
  );

  holds(
    '2: every lid has its fill, liquid and base judged, and what is wrong is in the cautions and the guide at that lid',
    (f) => {
      const locks = movesOf(f).filter(({ kind }) => kind === 'lock' || kind === 'lock-and-start');
      expect(f.lids.map(({ run }) => run)).toEqual(locks.map((_, i) => i + 1));
      for (const { run, fill, liquid, base } of f.lids) {
        expect(fill.level).toBe(fill.share > fill.limit ? 'over' : 'ok');
        expect(liquid.lowestMl).toBeLessThanOrEqual(liquid.atLockMl + 1e-6);
        if (liquid.atLockMl < liquid.minimumMl - 1) expect(liquid.level).toBe('short');
        expect(base.worstC).toBeGreaterThan(60);
        const wrong = [
          ...(fill.level === 'over' ? ['over-fill'] : []),
          ...(liquid.level === 'short' ? ['under-minimum'] : []),
          ...(liquid.level === 'dry' ? ['boils-dry'] : []),
          ...(base.level === 'likely' ? ['burn-likely'] : []),
        ];
        for (const code of wrong) expect(f.cautions.find((one) => one.code === code)?.runs).toContain(run);
        if (wrong.length > 0) {
          const before = steps(f).filter((step) => step.run === run && step.caution !== null);
          const texts = wrong.map((code) => f.cautions.find((one) => one.code === code)?.text);
          expect(before.some(({ caution }) => texts.includes(caution ?? ''))).toBe(true);
        }
      }
    },
  );

  holds(
    '2: half is the line at a lid under which something that swells or foams is in the pot now, else two thirds',
    (f, plan) => {
      for (const { run, fill } of f.lids) {
        const lock = walked(f).find(({ step }) =>
          step.moves.some((move) => (move.kind === 'lock' || move.kind === 'lock-and-start') && move.run === run),
        );
        const swells = plan.grains.some(({ grain }, i) => {
          const portion = f.portions.find(({ kind, index }) => kind === 'grain' && index === i);
          return portion !== undefined && lock?.before.get(portion.id) === 'pot' && grainById(grain).halfFill;
        });
        expect([run, fill.limit]).toEqual([run, swells ? 1 / 2 : 2 / 3]);
      }
    },
  );

  holds('3: grain, pulses and noodles short of their water are hard, and it says how much is missing', (f) => {
    for (const { items } of f.stages) {
      for (const item of items) {
        if (item.grain === undefined) continue;
        const wants = item.grams * grainById(item.grain).uptakeMlPerG;
        if (item.missingMl > 0.05 * wants) expect([item.texture, item.met]).toEqual(['hard', false]);
      }
    }
    for (const { liquid } of f.lids) if (liquid.missingMl > 1) expect(liquid.text).toMatch(/missing/);
  });

  holds(
    '4: no meat is in the pot when its sauce is strained, blended or reduced, but where the plan has it back',
    (f, plan) => {
      const meats = f.portions.filter(({ kind }) => kind === 'meat').map(({ id }) => id);
      for (const { step, before } of walked(f)) {
        const worked = step.moves.some(({ kind }) => kind === 'strain' || kind === 'blend' || kind === 'reduce');
        // Or the move says that it stays.
        const says = step.moves.some((move) => move.kind === 'reduce' && move.meatIn);
        expect(says && !plan.finish.meatBack && plan.servedFrom === 'plate').toBe(false);
        if (worked && !says) {
          for (const id of meats) expect([step.id, before.get(id) === 'pot']).toEqual([step.id, false]);
        }
      }
      for (const { foil } of f.meats) if (foil) expect(foil.coreC).toBeLessThanOrEqual(f.pot.boilingC + 1e-9);
      for (const { ends, kind } of f.portions) if (kind === 'meat') expect(ends).toBe('plate');
    },
  );

  holds(
    '5: raw meat, bones and bacon are never on the vegetable board; cured or salted meat is not salted',
    (f, plan) => {
      const moves = movesOf(f);
      for (const move of moves) {
        if (move.kind !== 'ready' || move.board !== 'vegetables') continue;
        for (const id of move.portions) {
          expect(kindOf(f, id)).not.toBe('meat');
          const portion = f.portions.find((one) => one.id === id);
          if (portion?.kind === 'aromatic') {
            expect(['bacon', 'bones']).not.toContain(aromaticKind(portion.food ?? '').id);
          }
        }
      }
      const cuts = [plan.meat, ...plan.otherMeats];
      for (const { kind, id, index } of f.portions) {
        if (kind !== 'meat') continue;
        const meat = cuts[index] as Plan['meat'];
        const salted = moves.filter(
          (move) => (move.kind === 'salt' || move.kind === 'salt-ahead') && move.portion === id,
        );
        const may = !cutById(meat.cut).cured && meat.salted !== 'no';
        expect([id, salted.length]).toEqual([id, may ? 1 : 0]);
        // Frozen, it is neither trimmed nor cut, and its sear warns of spitting.
        if (meat.startsFrom === 'frozen') {
          expect(moves.some((move) => (move.kind === 'trim' || move.kind === 'cut') && move.portion === id)).toBe(
            false,
          );
          if (moves.some((move) => move.kind === 'sear' && move.portion === id)) {
            expect(f.cautions.some(({ code }) => code === 'frozen-sear')).toBe(true);
          }
        }
        if (meat.marinade && meat.marinade.ml > 0) marinatedInOrder(f, id);
      }
    },
  );

  /** Trimmed and cut before the marinade, out of it and dried after. */
  function marinatedInOrder(f: Forecast, id: PortionId): void {
    const order = stepsOf(f.method).flatMap(({ moves }) => moves.filter((move) => portionsIn(move).includes(id)));
    const at = (kind: Move['kind']): number => order.findIndex((move) => move.kind === kind);
    for (const before of ['trim', 'cut'] as const) if (at(before) >= 0) expect(at(before)).toBeLessThan(at('marinate'));
    expect(at('unmarinate')).toBeGreaterThan(at('marinate'));
    const dried = Math.max(at('dry'), at('wipe-ice'));
    expect(dried).toBeGreaterThan(at('unmarinate'));
  }

  holds(
    '6: a middle that stays under 63 °C, and raw meat that waits in the warm, each have a caution of their own',
    (f, plan) => {
      const raw = f.meats.some(({ safe }) => !safe);
      expect(f.cautions.some(({ code }) => code === 'raw-middle')).toBe(raw);
      if (raw) {
        const check = steps(f).find(({ done }) => done === 'checked');
        expect(check?.caution).toBe(f.cautions.find(({ code }) => code === 'raw-middle')?.text);
      }
      if (plan.waitsMinutes > 0) expect(f.cautions.some(({ code }) => code === 'raw-waits')).toBe(true);
    },
  );

  holds('7: the guide’s minutes add up to the clock’s', (f) => {
    const sum = steps(f)
      .filter(({ runsFrom }) => runsFrom === null)
      .reduce((minutes, step) => minutes + step.minutes + step.waitMinutes, 0);
    // What is done beside the main work may begin before it.
    const firstMain = Math.min(
      ...f.clock.tasks
        .filter(({ track, work }) => track === null && work.kind !== 'heat')
        .map(({ startMinute }) => startMinute),
    );
    expect(sum).toBeCloseTo(f.clock.totalMinutes, 3);
    expect(firstMain).toBeGreaterThanOrEqual(-1e-9);
  });

  holds('8: cooked ahead it ends in the fridge, and is warmed to 74 °C and served on its day', (f, plan) => {
    const evening = guideOf(f).steps;
    expect(evening.filter(({ done }) => done === 'served')).toHaveLength(1);
    if (plan.cookAhead === undefined) {
      expect([f.nextDay, f.method.day]).toEqual([null, []]);
      expect(evening.at(-1)?.section).toBe('plate');
      return;
    }
    const kept = f.nextDay as NonNullable<Forecast['nextDay']>;
    expect(evening.at(-1)?.section).toBe('put-away');
    expect(kept.warmed.coreC).toBeGreaterThanOrEqual(74);
    // Later than two and six hours is never kept silent.
    const slow = kept.cooling.minutesTo21 > 120 || kept.cooling.minutesTo5 > 360;
    expect(f.cautions.some(({ code }) => code === 'cools-slowly')).toBe(slow);
    const day = guideOf(f, 'day');
    expect([isTheDay(day), isTheDay(guideOf(f))]).toEqual([true, false]);
    const sum = day.steps.reduce((minutes, step) => minutes + step.minutes + step.waitMinutes, 0);
    expect(sum).toBeLessThanOrEqual(kept.clock.totalMinutes + 1e-6);
    const moves = f.method.day.flatMap(({ steps: own }) => own.flatMap((step) => step.moves.map(({ kind }) => kind)));
    expect(moves).toEqual(expect.arrayContaining(['warm', 'season', 'plate']));
    const warm = day.steps.find(({ moves: own }) => own.some(({ kind }) => kind === 'warm'));
    expect(warm?.caution).toMatch(/74 °C/);
    // What the fork is to find at the check is never more than what is wanted on the plate.
    expect(kept.checkShare).toBeLessThanOrEqual(TARGET_BAND[plan.target][0] + 1e-6);
  });

  holds('every figure of every lid, cut and portion is a number', (f) => {
    for (const { fill, liquid, base } of f.lids) {
      for (const value of [fill.litres, fill.share, liquid.atLockMl, liquid.lowestMl, base.worstC]) {
        expect(Number.isFinite(value)).toBe(true);
      }
    }
    for (const { chance, mean, coreC } of f.meats) {
      expect(chance.short + chance.at + chance.past).toBeCloseTo(1, 6);
      expect(Number.isFinite(mean) && Number.isFinite(coreC)).toBe(true);
    }
  });

  holds(
    'what is cooked apart, stirred in, folded in or put in off the heat is told when its time has come',
    (f, plan) => {
      const offHeat = plan.vegetables.filter(
        ({ place, grams }) =>
          grams > 0 && !['start', 'flavour-only', 'auto'].includes(place) && stageOf(plan, place).kind === 'off-heat',
      );
      const rest = walked(f).find(({ step }) => step.moves.some(({ kind }) => kind === 'season'));
      for (const item of offHeat) {
        const portion = f.portions.find(
          ({ kind, index }) => kind === 'vegetable' && index === plan.vegetables.indexOf(item),
        );
        expect([item.vegetable, rest?.before.get(portion?.id ?? '')]).toEqual([item.vegetable, 'pot']);
      }
      for (const move of movesOf(f)) {
        if (move.kind === 'cook-apart') {
          const folded = movesOf(f).flatMap((one) => (one.kind === 'fold-in' ? one.portions : []));
          for (const id of move.portions) expect(folded).toContain(id);
        }
      }
      expect(
        moveOf(stepsOf(f.method).at(-1)?.moves ?? [], 'plate') ?? movesOf(f).some(({ kind }) => kind === 'plate'),
      ).toBeTruthy();
    },
  );
});

test.each([
  ['lamb-shank', false],
  ['beef-chuck', true],
])('a whole %s is told to be sliced on its evening: %p', (cut, sliced) => {
  const { method } = forecast(planFor(cut, 'whole', 1500, { target: 'fork' }));
  const kinds = inOrder(method).flatMap(({ moves }) => moves.map(({ kind }) => kind));
  expect(kinds.includes('slice')).toBe(sliced);
});

test('of two cuts only the frozen one is warned of at the pan', () => {
  const frozen = planFor('lamb-shank', 'whole', 1600, {}, { startsFrom: 'frozen' });
  const fresh = planFor('lamb-shoulder', 'chunks', 700).meat;
  const f = forecast({ ...frozen, otherMeats: [{ ...fresh, goesIn: 'start', comesOut: 'end' }] });
  const spits = f.cautions.find(({ code }) => code === 'frozen-sear')?.text;
  const warned = guideOf(f).steps.filter(({ caution }) => caution === spits);
  expect(warned.map(({ moves }) => moves.map((move) => 'portion' in move && move.portion))).toEqual([['meat']]);
});
