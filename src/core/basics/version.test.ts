import { readFileSync } from 'node:fs';
import { APP_VERSION } from './version';

test('the version is that of the package', () => {
  const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
  expect(APP_VERSION).toBe(version);
});
