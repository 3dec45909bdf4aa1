const { default: Sequencer } = require('@jest/test-sequencer');

/** The longest files first, so that the last minute is not one worker's alone: the browser's, then those of screens. */
module.exports = class extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => (path.includes('/e2e/') ? 0 : path.endsWith('.tsx') ? 1 : 2);
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b));
  }
};
