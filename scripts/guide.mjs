// npm run --silent guide -- plan.json   (or - for standard input): every step of the guide, as the card and the pot have it.
import { headless } from './headless.mjs';

headless('guide', 'guideCommand');
