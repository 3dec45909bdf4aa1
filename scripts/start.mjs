// npm start [-- --port 4780 --data data]: serves the cook's own data.
import { buildAll, install, serve } from './lib.mjs';

install();
buildAll();
serve(process.argv.slice(2));
