import { grainById } from '../catalog/grains';
import { vegetableById } from '../catalog/vegetables';
import type { Plan } from '../plan/plan';
import type { PortionId } from '../plan/portions';
import { stageOf } from '../plan/stage-settings';
import type { BoardMove } from './board';
import { type Bowls, type Line, listOf, step, sum } from './line';
import type { Move } from './moves';
import type { Track } from './step';

/** Common practice, minutes. */
const APART = {
  toast: { minutes: 3, handsOn: true },
  soak: { minutes: 20, handsOn: false },
  saute: { minutes: 5, handsOn: true },
  blend: { minutes: 3, handsOn: true },
  strain: { minutes: 3, handsOn: true },
} as const;
const SWILL_MINUTES = 1;

/** What is cut while the pot works. */
export const LATER_TASK = 'later-1-board';

/** The board a second time, washed: while the pot works, or on another day. */
export function laterBoard(line: Line, id: string, moves: readonly BoardMove[], after: readonly string[] = []): void {
  const cutting = listOf(moves.map(({ move }) => move));
  if (cutting === null) return;
  const minutes = sum(moves);
  line.beside({
    id,
    work: { kind: 'later-board' },
    steps: [step(id, cutting, minutes)],
    minutes,
    resource: 'board',
    handsOn: true,
    after,
    track: { kind: 'board' },
  });
}

/** Cooked in a pan of its own on another burner, ready when it is folded in; begun after what it waits for. */
export function cookApart(
  line: Line,
  plan: Plan,
  bowls: Bowls,
  after: readonly string[] = [],
): { readonly blocks: string[]; readonly portions: PortionId[] } {
  const blocks: string[] = [];
  const portions: PortionId[] = [];
  const stages = new Set(
    [...plan.vegetables, ...plan.grains]
      .map(({ place }) => place)
      .filter((place) => !['start', 'flavour-only', 'auto'].includes(place) && stageOf(plan, place).kind === 'apart'),
  );
  for (const stage of stages) {
    const vegetables = bowls.vegetables(({ place }) => place === stage);
    const grains = bowls.grains(({ place }) => place === stage);
    const minutes = Math.max(
      ...plan.vegetables
        .filter(({ place }) => place === stage)
        .map(({ vegetable }) => vegetableById(vegetable).boilMinutes[1]),
      ...plan.grains.filter(({ place }) => place === stage).map(({ grain }) => grainById(grain).boilMinutes[1]),
    );
    const here = [...vegetables, ...grains];
    if (here.length === 0) continue;
    const id = `apart-cook-${stage}`;
    line.beside({
      id,
      work: { kind: 'cook-apart', stage },
      steps: [step(id, [{ kind: 'cook-apart', portions: here }], stageOf(plan, stage).minutes ?? minutes, false)],
      minutes: stageOf(plan, stage).minutes ?? minutes,
      resource: 'side-burner',
      handsOn: false,
      after,
      track: { kind: 'cook-apart', stage },
    });
    blocks.push(id);
    portions.push(...here);
  }
  return { blocks, portions };
}

/** Sauces made in their own pan and blender, one after the other. */
export function saucesApart(line: Line, plan: Plan, bowls: Bowls): string | null {
  let last: string | null = null;
  plan.additions.forEach(({ apart }, i) => {
    const portion = bowls.at('addition', i);
    if (!apart || portion === null) return;
    const track: Track = { kind: 'apart', addition: i };
    const put = (id: string, move: Move, minutes: number, handsOn: boolean): void => {
      line.beside({
        id,
        work: { kind: 'apart', addition: i },
        steps: [step(id, [move], minutes, handsOn)],
        minutes,
        resource: 'side-burner',
        handsOn,
        after: last === null ? [] : [last],
        track,
      });
      last = id;
    };
    apart.steps.forEach((one, at) => {
      // Sautéed twice, it is two tasks.
      const again = apart.steps.slice(0, at).filter((other) => other === one).length;
      const { minutes, handsOn } = APART[one];
      const id = `apart-${i + 1}-${one}${again === 0 ? '' : `-${again + 1}`}`;
      put(id, { kind: 'apart', portion, step: one, swill: null }, minutes, handsOn);
    });
    const swill = bowls.at('swill', i);
    if (swill !== null) {
      put(`apart-${i + 1}-swill`, { kind: 'apart', portion, step: 'swill', swill }, SWILL_MINUTES, true);
    }
  });
  return last;
}

/** Side dishes, task after task. */
export function sides(line: Line, plan: Plan): void {
  plan.sides.forEach((side, s) => {
    let before: string[] = [];
    side.tasks.forEach((task, t) => {
      const id = `side-${s + 1}-${t + 1}`;
      line.beside({
        id,
        work: { kind: 'side', side: s, task: t },
        steps: [step(id, [{ kind: 'side', side: s, task: t }], task.minutes, task.handsOn)],
        minutes: task.minutes,
        resource: task.resource,
        handsOn: task.handsOn,
        after: before,
        track: { kind: 'side', side: s },
      });
      before = [id];
    });
  });
}
