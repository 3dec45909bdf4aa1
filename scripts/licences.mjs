// The licences of everything that ships, with the fonts' own texts first: web/dist/licences.txt, reachable in Settings.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib.mjs';

const TEXT = /^(licen[cs]e|copying|notice)(\.(md|txt))?$/i;
const FONTS = 'node_modules/@fontsource';

/** Packages that ship, from the lock file: none that only builds or tests. */
function shipped() {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages)
    .filter(([path, { dev, link }]) => path.includes('node_modules/') && !dev && !link)
    .map(([path]) => path)
    .filter((path) => existsSync(join(root, path, 'package.json')))
    .sort((a, b) => Number(b.startsWith(FONTS)) - Number(a.startsWith(FONTS)) || (a < b ? -1 : 1));
}

/** Writes the file; answers how many packages are in it. */
export function writeLicences() {
  const paths = shipped();
  const parts = paths.map((path) => {
    const { name, version, license } = JSON.parse(readFileSync(join(root, path, 'package.json'), 'utf8'));
    const texts = readdirSync(join(root, path))
      .filter((file) => TEXT.test(file))
      .map((file) => readFileSync(join(root, path, file), 'utf8').trim());
    return `${'='.repeat(78)}\n${name} ${version}: ${typeof license === 'string' ? license : 'see its text'}\n\n${texts.join('\n\n')}`;
  });
  writeFileSync(
    join(root, 'web/dist/licences.txt'),
    `Hervir is made with what others have written. The fonts first, then everything else, each with its own words.\n\n${parts.join('\n\n')}\n`,
  );
  return paths.length;
}
