// node scripts/calibration.mjs: what was promised against what the simulated kitchen made of it, a few of each, as JSON. The
// whole of it is `npm run bench -- --odds --many`.
import { calibration } from './bench-odds.mjs';

process.stdout.write(`${JSON.stringify(calibration({ rehearsals: 60, gardens: 36, bases: 80 }))}\n`);
