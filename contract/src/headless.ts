import { dinnerOdds, forecast, guideOf, portionsIn, printerFor, type Plan } from '@hervir/core';
import { faultLine, type Fault } from './fault';
import { readPlan } from './plan';

/** A plan is a page of text; anything near this is something else, bytes. */
export const LARGEST_PLAN_BYTES = 1_000_000;

/** What a command prints, and its exit code. */
export interface CommandResult {
  readonly stdout: string;
  readonly stderr: string;
  readonly exitCode: 0 | 2;
}

function refused(faults: readonly Fault[]): CommandResult {
  return { stdout: '', stderr: faults.map((fault) => `${faultLine(fault)}\n`).join(''), exitCode: 2 };
}

/**
 * The headless command without its files: plan text in, forecast text out.
 *
 * @param text of the plan file
 * @returns forecast as one JSON document, with the odds of its dinner, and 0; or one line a fault and 2
 * @example forecastCommand('{}').exitCode // 2
 */
export function forecastCommand(text: string): CommandResult {
  return command(text, (plan) => {
    const f = forecast(plan);
    return { ...f, dinner: dinnerOdds(f) };
  });
}

/**
 * The guide of a plan without a server: plan text in, every step out, with its title, detail, button, minutes, caution and
 * the portions it moves.
 *
 * @param text of the plan file
 * @returns the guide as one JSON document and 0; or one line a fault and 2
 * @example guideCommand('{}').exitCode // 2
 */
export function guideCommand(text: string): CommandResult {
  return command(text, (plan) => {
    const f = forecast(plan);
    const guide = guideOf(f, printerFor('metric'));
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
function command(text: string, make: (plan: Plan) => object): CommandResult {
  if (text.length > LARGEST_PLAN_BYTES) {
    return refused([
      {
        path: '',
        problem: `${(text.length / 1e6).toFixed(1)} MB is too large for a plan`,
        allowed: `up to ${LARGEST_PLAN_BYTES / 1e6} MB`,
      },
    ]);
  }
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    return refused([
      { path: '', problem: `is not JSON (${(error as Error).message})`, allowed: 'a plan, format "hervir/braise"' },
    ]);
  }
  const read = readPlan(input);
  if (!read.ok) return refused(read.faults);
  return { stdout: `${JSON.stringify(make(read.value), null, 2)}\n`, stderr: '', exitCode: 0 };
}
