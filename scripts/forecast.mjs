// npm run --silent forecast -- plan.json   (or - for standard input)
import { headless } from './headless.mjs';

headless('forecast', 'forecastCommand');
