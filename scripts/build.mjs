import { buildAll, install } from './lib.mjs';

install();
buildAll();
