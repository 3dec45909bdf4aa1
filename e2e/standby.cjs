// The built server, loaded and waiting: it opens its data only when a line comes in. For tests that start it many times.
const { join } = require('node:path');

require('reflect-metadata');
require(join(__dirname, '../server/dist/application.js'));
process.stdin.once('data', () => require(join(__dirname, '../server/dist/main.js')));
process.stdout.write('standing by\n');
