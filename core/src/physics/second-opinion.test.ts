import { ConductionBody } from './conduction/body';
import { CookingBody } from './cooking-body';
import { cookByOde, type BrickProblem } from '../testing/ode';

test('core temperature within 0.1 K and cook value within 1 % of a general ODE solver of the registry on the same brick', () => {
  const brick: BrickProblem = {
    halfDimensions: [0.036, 0.03, 0.019],
    conductivity: 0.49,
    diffusivity: 1.4e-7,
    surface: 800,
    startC: 5,
  };
  /** Ten minutes up to working temperature, half an hour there. */
  const liquidC = (seconds: number): number => Math.min(115.7, 50 + (65.7 * seconds) / 600);
  const piece = new CookingBody(
    new ConductionBody({ kind: 'brick', halfDimensions: brick.halfDimensions }, brick, 5),
    1,
  );
  for (let minute = 0; minute < 40; minute += 1) piece.advance(60, liquidC(minute * 60), liquidC(minute * 60 + 60));
  const theirs = cookByOde(brick, liquidC, 2400, 10, 1e-4);
  expect(Math.abs(piece.coreC - theirs.coreC)).toBeLessThan(0.1);
  expect(Math.abs(piece.meanCookValue() / theirs.cookValue - 1)).toBeLessThan(0.01);
});
