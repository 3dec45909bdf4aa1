import { say } from '@hervir/language/message';
import { dinnerOdds, forecast, guideOf, portionsIn, type Plan } from '@hervir/core';
import { faultLine, type Fault, type Spell } from './fault';
import { readPlan } from './plan';

/** A plan is a page of text; anything near this is something else, bytes. */
export const LARGEST_PLAN_BYTES = 1_000_000;

/** What a command prints, and its exit code. */
export interface CommandResult {
  readonly stdout: string;
  readonly stderr: string;
  readonly exitCode: 0 | 2;
}

/** What is said of a file that is no plan by its size alone. */
export const tooLarge = (bytes: number): Fault => ({
  path: '',
  problem: say('headless.is-too-large-for-a-plan', { megabytes: bytes / 1e6 }),
  allowed: say('headless.up-to', { megabytes: LARGEST_PLAN_BYTES / 1e6 }),
});

function refused(spell: Spell, faults: readonly Fault[]): CommandResult {
  return { stdout: '', stderr: faults.map((fault) => `${faultLine(fault, spell)}\n`).join(''), exitCode: 2 };
}

/**
 * The headless command without its files: plan text in, forecast text out.
 *
 * @param text of the plan file
 * @param spell puts every message of a document into words
 * @returns forecast as one JSON document, with the odds of its dinner, and 0; or one line a fault and 2
 * @example forecastCommand('{}', (document) => document).exitCode // 2
 */
export function forecastCommand(text: string, spell: Spell): CommandResult {
  return command(text, spell, (plan) => {
    const f = forecast(plan);
    return { ...f, dinner: dinnerOdds(f) };
  });
}

/**
 * The guide of a plan without a server: plan text in, every step out, with its title, detail, button, minutes, caution and
 * the portions it moves.
 *
 * @param text of the plan file
 * @param spell puts every message of a document into words
 * @returns the guide as one JSON document and 0; or one line a fault and 2
 * @example guideCommand('{}', (document) => document).exitCode // 2
 */
export function guideCommand(text: string, spell: Spell): CommandResult {
  return command(text, spell, (plan) => {
    const f = forecast(plan);
    const guide = guideOf(f);
    const names = new Map(f.portions.map(({ id, name }) => [id, name]));
    return {
      ...guide,
      steps: guide.steps.map((step) => ({
        ...step,
        portions: [...new Set(step.moves.flatMap((move) => portionsIn(move)))].map((id) => ({
          id,
          name: names.get(id) ?? id,
        })),
      })),
    };
  });
}

/** Reads a plan's text and prints what is made of it; a bad one is refused, a line each fault. */
function command(text: string, spell: Spell, make: (plan: Plan) => object): CommandResult {
  if (text.length > LARGEST_PLAN_BYTES) return refused(spell, [tooLarge(text.length)]);
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    return refused(spell, [
      {
        path: '',
        problem: say('headless.is-not-json', { why: (error as Error).message }),
        allowed: say('headless.a-plan-format'),
      },
    ]);
  }
  const read = readPlan(input);
  if (!read.ok) return refused(spell, read.faults);
  return { stdout: `${JSON.stringify(spell(make(read.value)), null, 2)}\n`, stderr: '', exitCode: 0 };
}
