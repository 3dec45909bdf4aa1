import type { GuideStep } from '../clock/guide-step';
import type { Forecast } from '../braise/forecast/forecast-document';
import { CLEARING_ML } from '../braise/forecast/pot-so-far';
import { thickenerById } from '../catalog/thickeners';
import type { Move } from '../method/moves';
import type { SimulatedKitchen } from './kitchen';
import type { Refusal } from './cooker-device';

/** How a step was said to be done. */
export interface Done {
  /** By its other button. */
  readonly otherwise: boolean;
  /** Minutes of the pressure run that follows, for whoever starts one. */
  readonly minutes: number;
}

const NOTHING: Refusal = null;

const hot = (kitchen: SimulatedKitchen): Refusal =>
  kitchen.command(kitchen.device.electric ? { do: 'saute', level: 'high' } : { do: 'burner', level: 'full' });
const half = (kitchen: SimulatedKitchen): Refusal =>
  kitchen.command(kitchen.device.electric ? { do: 'saute', level: 'mid' } : { do: 'burner', level: 'medium' });
const gentle = (kitchen: SimulatedKitchen): Refusal =>
  kitchen.command(kitchen.device.electric ? { do: 'saute', level: 'low' } : { do: 'burner', level: 'low' });
const off = (kitchen: SimulatedKitchen): Refusal => kitchen.command({ do: 'cancel' });

function lidOn(kitchen: SimulatedKitchen): Refusal {
  return kitchen.command({ do: 'lid', to: 'on' });
}

function lidOff(kitchen: SimulatedKitchen): Refusal {
  const refused = kitchen.command({ do: 'lid', to: 'off' });
  if (refused === null) kitchen.opened();
  return refused;
}

/** Valve closed and the heat on, for so many minutes where the cooker counts. */
function start(kitchen: SimulatedKitchen, minutes: number): Refusal {
  // An open valve is the commonest mistake: the hand that forgets it believes it is closed.
  if (!kitchen.faults.has('valve-open')) kitchen.command({ do: 'valve', to: 'closed' });
  return kitchen.command(kitchen.device.electric ? { do: 'pressure', minutes } : { do: 'burner', level: 'full' });
}

/** What hands begin with a move, when its turn comes. */
function begin(kitchen: SimulatedKitchen, move: Move): void {
  switch (move.kind) {
    case 'sear':
      if (move.face > 1 || (kitchen.faults.has('crowded') && move.batch > 1)) return;
      kitchen.lay(move.portion, move.pieces, { pan: move.where === 'pan', stirred: move.stirred });
      return;
    case 'fry':
      kitchen.fry(move.portions, { setAside: move.setAside, scrapes: move.scrapes });
      return;
    case 'boil-marinade':
      kitchen.deglaze(move.marinade, true);
      half(kitchen);
      return;
    case 'deglaze':
      kitchen.deglaze(move.portion, move.scraped);
      half(kitchen);
      return;
    case 'lift':
      // Meat first of all; vegetables take as long as it takes to find them.
      if (move.to === 'foil') kitchen.liftOut(move.portions);
      return;
    case 'ladle':
      // Before a stage it is the first thing done; from a finished sauce it is measured at the end.
      if (move.stage !== 'finish') kitchen.ladle(move.ml);
      return;
    case 'boil':
    case 'reduce':
      hot(kitchen);
      return;
    case 'simmer':
      if (move.heat === 'hard') half(kitchen);
      else gentle(kitchen);
      return;
    case 'without-power':
      off(kitchen);
      return;
    case 'clear':
    case 'see-to':
      off(kitchen);
      kitchen.command({ do: 'valve', to: 'open' });
      return;
    case 'rest':
      off(kitchen);
      return;
    default:
      return;
  }
}

/** What hands finish a move with, as the button of its step says. One `case` for every move that hands feel. */
// oxlint-disable-next-line max-lines-per-function -- one case for each move that hands feel, and a list of those they do not
function end(kitchen: SimulatedKitchen, f: Forecast, step: GuideStep, move: Move, done: Done): Refusal {
  switch (move.kind) {
    case 'heat':
      return hot(kitchen);
    case 'sear':
      if (step.done === 'batchDone') kitchen.take(move.portion);
      else kitchen.turn();
      return NOTHING;
    case 'fry':
      kitchen.stopScraping();
      return NOTHING;
    case 'boil-marinade':
    case 'deglaze':
      kitchen.stopScraping();
      return NOTHING;
    case 'heat-off':
      return off(kitchen);
    case 'flour':
      kitchen.poured.pour(move.portion, kitchen.pot);
      return NOTHING;
    case 'put':
    case 'pour':
    case 'stir-in':
    case 'fold-in':
      kitchen.putIn(move.portions);
      return NOTHING;
    case 'stir-down':
      kitchen.poured.stirDown(kitchen.pot);
      return NOTHING;
    case 'put-back':
      kitchen.putBack(move.portions);
      return NOTHING;
    case 'lock':
      return lidOn(kitchen);
    case 'start':
      return start(kitchen, done.minutes);
    case 'lock-and-start':
      return lidOn(kitchen) ?? start(kitchen, done.minutes);
    case 'come-up':
      // On a burner it is the hand that holds the pressure from the pin on.
      return kitchen.device.electric ? NOTHING : kitchen.command({ do: 'burner', level: 'hold' });
    case 'hold':
      return ['pressure', 'burner'].includes(kitchen.device.mode) ? off(kitchen) : NOTHING;
    case 'leave': {
      const kind = done.otherwise ? step.otherwise?.done : step.done;
      return kind === 'ventOpened' ? kitchen.command({ do: 'valve', to: 'open' }) : NOTHING;
    }
    case 'vent':
      return kitchen.command({ do: 'valve', to: 'open' });
    case 'open':
      return lidOff(kitchen);
    case 'clear': {
      const refused = kitchen.command({ do: 'lid', to: 'off' });
      if (refused !== null) return refused;
      kitchen.clear(CLEARING_ML);
      return NOTHING;
    }
    case 'without-power':
      return start(kitchen, done.minutes);
    case 'see-to': {
      const refused = lidOff(kitchen) ?? lidOn(kitchen);
      return refused ?? start(kitchen, done.minutes);
    }
    case 'simmer':
      return move.goesOn === true ? NOTHING : off(kitchen);
    case 'reduce':
      return off(kitchen);
    case 'lift':
      if (move.to === 'dish') kitchen.liftOut(move.portions);
      return NOTHING;
    case 'fish-out':
    case 'strain':
      kitchen.liftOut(move.portions);
      return NOTHING;
    case 'ladle':
      if (move.stage === 'finish') kitchen.ladle(move.ml);
      return NOTHING;
    case 'thicken': {
      const { thickener } = f.plan.finish;
      const factor = thickener === 'none' ? 1 : thickenerById(thickener).factor;
      kitchen.thicken(move.grams / factor, move.waterMl);
      return NOTHING;
    }
    case 'salt-ahead':
    case 'thaw':
    case 'soak':
    case 'marinate':
    case 'ready':
    case 'unmarinate':
    case 'rinse':
    case 'trim':
    case 'cut':
    case 'cut-seared':
    case 'dry':
    case 'wipe-ice':
    case 'rub':
    case 'salt':
    case 'wait-hot':
    case 'recover':
    case 'rack':
    case 'pin-falls':
    case 'try':
    case 'boil':
    case 'skim':
    case 'blend':
    case 'rest':
    case 'season':
    case 'pull':
    case 'slice':
    case 'crisp':
    case 'plate':
    case 'apart':
    case 'cook-apart':
    case 'side':
    case 'put-away':
    case 'ice-bath':
    case 'into-fridge':
    case 'lift-fat':
    case 'warm':
      // Done with the eyes, at the board or on a plate: the pot does not feel it.
      return NOTHING;
  }
}

/**
 * Hands begin a step.
 *
 * @param step of the guide whose turn has come
 */
export function handsBegin(kitchen: SimulatedKitchen, step: Pick<GuideStep, 'moves'>): void {
  for (const move of step.moves) begin(kitchen, move);
}

/**
 * Hands finish a step, as its button says. "Pin fell by itself" is nothing that hands do.
 *
 * @param step of the guide
 * @param done by which of its buttons
 * @returns why it cannot be done, or null
 */
export function handsEnd(kitchen: SimulatedKitchen, f: Forecast, step: GuideStep, done: Done): Refusal {
  for (const move of step.moves) {
    const refused = end(kitchen, f, step, move, done);
    if (refused !== null) return refused;
  }
  return NOTHING;
}
