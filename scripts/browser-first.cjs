const { default: Sequencer } = require('@jest/test-sequencer');

/** Of what needs no browser, the longest: whole plans at random, and a server for each of many things. */
const LONG = /(?:any-plan|backup|fuzz|method|simulated-cooker|log)\.test\.ts$/;

/** The longest files first, so that the last minute is not one worker's alone: the browser's, the long ones, those of screens. */
module.exports = class extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => (path.includes('/e2e/') ? 0 : LONG.test(path) ? 1 : path.endsWith('.tsx') ? 2 : 3);
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b));
  }
};
