import { joined, quantity, say } from '@hervir/language/message';
import type { Finish } from './finish';
import { moveOf } from '../method/moves';
import type { Method } from '../method/step';
import { fishedNames, sauceSentence } from './sauce-words';
import type { StepContext } from './step-context';

/** The finish of a plan: its figures, and its steps in words. */
export function finishWords(context: StepContext, method: Method): Finish {
  const { plan, sauce } = context;
  const steps = method.blocks
    .filter(({ work }) => work.kind === 'finish' || work.kind === 'rest')
    .flatMap((block) =>
      block.steps.map(({ id, moves, minutes, hands }) => ({
        id,
        kind: moves[0].kind,
        text: joined(
          moves.flatMap((move) => sauceSentence(context, move) ?? []),
          '. ',
        ),
        minutes,
        handsOn: hands,
      })),
    );
  const fished = method.blocks.flatMap((block) => block.steps.flatMap(({ moves }) => moveOf(moves, 'fish-out') ?? []));
  const { thickener, body } = plan.finish;
  const bound = thickener !== 'none' && body !== 'thin';
  return {
    ...sauce,
    fishOut: fished.flatMap((move) => fishedNames(context, move)),
    steps,
    text: say('finish.of-sauce', {
      sauceMl: quantity('volume', sauce.sauceMl),
      thickens: sauce.thickens,
      bound: bound && !sauce.thickens,
      body: say(`body.${body}`),
    }),
  };
}
