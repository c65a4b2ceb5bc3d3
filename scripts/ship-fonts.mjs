// Copies the fonts the application ships from their packages into public/fonts, with their licences.
import { copyFileSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

const faces = {
  barlow: [400, 500, 600],
  'barlow-semi-condensed': [500, 600],
  'barlow-condensed': [500, 600, 700],
  caveat: [700],
  lora: [600],
};

rmSync('public/fonts', { recursive: true, force: true });
mkdirSync('public/fonts', { recursive: true });
for (const [family, weights] of Object.entries(faces)) {
  const root = join('node_modules/@fontsource', family);
  for (const weight of weights) {
    // WOFF2 for the screen, WOFF for embedding in a PDF.
    for (const kind of ['woff2', 'woff']) {
      const name = `${family}-latin-${weight}-normal.${kind}`;
      copyFileSync(join(root, 'files', name), join('public/fonts', name));
    }
  }
  copyFileSync(join(root, 'LICENSE'), join('public/fonts', `${family}-LICENSE.txt`));
}
