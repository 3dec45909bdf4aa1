// npm run demo: installs, builds, fills the demo kitchen and serves it.
import { buildAll, install, serve } from './lib.mjs';

install();
buildAll();
serve(['--data', 'demo-data', '--demo', ...process.argv.slice(2)]);
