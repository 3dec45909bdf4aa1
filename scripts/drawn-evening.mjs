// An evening drawn from the list of what varies, for what is judged by the simulated kitchen: the bench of the odds, and the
// demo kitchen's season.
import { join } from 'node:path';
import { root } from './lib.mjs';

/** Minutes of a guide at the board. */
export const boardMinutes = ({ steps }) =>
  steps.filter(({ section }) => section === 'board').reduce((sum, { minutes }) => sum + minutes, 0);

/**
 * A plan's evening, ready to be drawn: reckoned once, however many evenings are drawn of it.
 *
 * @param load require, of the built core
 * @param base the plan's forecast, with a dinner time
 * @returns its surrogate and its guide; a guide with hands as slow as was drawn; and when the pot of a guide comes on
 */
export function drawnEvening(load, base) {
  const core = load(join(root, 'core/dist/index.js'));
  const { DRAWN, surrogateOf } = load(join(root, 'core/dist/braise/odds/dinner-odds.js'));
  const surrogate = surrogateOf(base);
  const guide = core.guideOf(base);
  const { tasks } = surrogate.playable;
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const up = tasks.findIndex(({ work }) => work.kind === 'come-up');
  const [minutes, withSteam] = [new Float64Array(tasks.length), new Float64Array(tasks.length)];
  return {
    surrogate,
    guide,
    /** The pot is the simulated kitchen's own, only the hands' minutes are the list's. */
    slowed(draw) {
      const hands = draw.slice(0, surrogate.variables);
      for (const what of [DRAWN.heater, DRAWN.losses, DRAWN.steam]) hands[what] = 0;
      hands[DRAWN.animal] = -9;
      surrogate.minutes(hands, minutes);
      // What is blown off before the pin the simulated pot always takes alike: its minutes are waited for where nothing else goes on.
      const steam = draw.slice(0, surrogate.variables).fill(0);
      steam[DRAWN.steam] = draw[DRAWN.steam];
      steam[DRAWN.animal] = -9;
      surrogate.minutes(steam, withSteam);
      const later = up < 0 ? 0 : withSteam[up] - tasks[up].minutes;
      const steps = guide.steps.map((step) => {
        const i = at.get(step.task);
        if (i === undefined || !(tasks[i].minutes > 0)) return step;
        const takes = step.minutes * (minutes[i] / tasks[i].minutes);
        return { ...step, minutes: step.id === 'rest' ? Math.max(0, takes + later) : takes };
      });
      return { ...guide, steps };
    },
    /** Wall clock, ms since 1970: the simulated kitchen begins there, and a slow board makes it later. */
    potOnMs(slow) {
      const planned = Date.parse(base.clock.startAt) + core.potMinute(base) * 60_000;
      return planned + (boardMinutes(slow) - boardMinutes(guide)) * 60_000;
    },
  };
}

/** Minutes a steady hand lets go by at the checks: it tries the meat at once. */
export const atTheCheck = ({ steps }) => {
  const minutes = new Map(steps.filter(({ done }) => done === 'checked').map((step) => [step.id, step.minutes]));
  return (id) => minutes.get(id) ?? 0;
};
