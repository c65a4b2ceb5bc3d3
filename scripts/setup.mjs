// What a fresh machine needs, installed only where it is missing. Uses nothing but Node.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync, writeFileSync, readdirSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';

/** Runs a command with its output shown; ends the whole script where it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, {
    stdio: 'inherit',
    ...options,
    env: {
      ...process.env,
      NEXT_TELEMETRY_DISABLED: '1',
      PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
      ...options.env,
    },
  });
  if (done.status !== 0) {
    process.stderr.write(`\n${command} ${args.join(' ')} did not succeed.\n`);
    process.exit(done.status ?? 1);
  }
}

/** npm packages as the lock file says, unless that was already done for this very lock file. */
export function ensurePackages() {
  const want = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const mark = 'node_modules/.installed-for';
  if (existsSync(mark) && readFileSync(mark, 'utf8') === want) return;
  run('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(mark, want);
}

/** Chromium and poppler from Debian's packages, for the tests. */
export function ensureSystemTools() {
  const missing = [
    ['/usr/bin/chromium', 'chromium'],
    ['/usr/bin/pdftoppm', 'poppler-utils'],
  ].filter(([file]) => !existsSync(file));
  if (missing.length === 0) return;
  const names = missing.map(([, name]) => name);
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get'];
  const apt = (args) => run(command, [...before, ...args], { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  apt(['update', '-qq']);
  apt(['install', '-y', '-qq', '--no-install-recommends', ...names]);
}

const newest = (path) => {
  const s = statSync(path);
  if (!s.isDirectory()) return s.mtimeMs;
  return readdirSync(path).reduce((t, name) => Math.max(t, newest(join(path, name))), 0);
};

/** A production build, unless the last one is newer than everything it is made from. */
export function ensureBuild() {
  const built = '.next/BUILD_ID';
  const sources = ['src', 'package-lock.json', 'next.config.ts', 'postcss.config.mjs'];
  const fresh =
    existsSync(built) &&
    existsSync('public/fonts') &&
    sources.every((s) => newest(s) < statSync(built).mtimeMs);
  if (!fresh) run('npm', ['run', '-s', 'build']);
}
