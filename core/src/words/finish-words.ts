import type { Finish } from './finish';
import { moveOf } from '../method/moves';
import type { Method } from '../method/step';
import { fishedNames, sauceSentence } from './sauce-words';
import type { Told } from './told';

/** The finish of a plan: its figures, and its steps in words. */
export function finishWords(told: Told, method: Method): Finish {
  const { plan, print, sauce } = told;
  const steps = method.blocks
    .filter(({ work }) => work.kind === 'finish' || work.kind === 'rest')
    .flatMap((block) =>
      block.steps.map(({ id, moves, minutes, hands }) => ({
        id,
        kind: moves[0].kind,
        text: moves.flatMap((move) => sauceSentence(told, move) ?? []).join('. '),
        minutes,
        handsOn: hands,
      })),
    );
  const fished = method.blocks.flatMap((block) => block.steps.flatMap(({ moves }) => moveOf(moves, 'fish-out') ?? []));
  const { thickener, body } = plan.finish;
  const bound = thickener !== 'none' && body !== 'thin';
  const thick = sauce.thickens ? `, ${body}` : bound ? `, ${body} as it is: no starch needed` : '';
  return {
    ...sauce,
    fishOut: fished.flatMap((move) => fishedNames(told, move)),
    steps,
    text: `${print.quantity('volume', sauce.sauceMl)} of sauce${thick}`,
  };
}
