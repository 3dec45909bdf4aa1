// Property tests take the same examples in every run, so that a failure is a change and never a throw of the dice.
// HERVIR_SEED=<number> npm test explores others.
const fc = require('fast-check');

fc.configureGlobal({ seed: Number(process.env.HERVIR_SEED ?? 20261125) });
