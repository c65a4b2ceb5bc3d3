// Everything, from a fresh clone: packages, types, lint, unit tests, build, end-to-end tests. Prints what ran.
import { spawn } from 'node:child_process';
import { ensurePackages, ensureSystemTools, run } from './setup.mjs';

const since = (start) => `${Math.round((Date.now() - start) / 1000)} s`;

/** Runs a program, shows its output as it comes, and reads the counts from it. */
function counted(what, command, args, read = () => ({})) {
  const start = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: '0' },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let text = '';
    const take = (chunk) => {
      text += chunk;
      process.stdout.write(chunk);
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('close', (code) => {
      const ok = code === 0;
      process.stdout.write(`\n${what}: ${ok ? 'done' : 'failed'} in ${since(start)}.\n`);
      resolve({ ...read(text), ok });
    });
  });
}

const numberBefore = (text, word) => Number(new RegExp(`(\\d+) ${word}`).exec(text)?.[1] ?? 0);

const jestCounts = (text) => {
  const line = text.split('\n').findLast((l) => l.startsWith('Tests:')) ?? '';
  return {
    passed: numberBefore(line, 'passed'),
    failed: numberBefore(line, 'failed'),
    skipped: numberBefore(line, 'skipped'),
  };
};

const playwrightCounts = (text) => {
  const tail = text.split('\n').slice(-60).join('\n');
  return {
    // A flaky test failed once and passed when it was tried again.
    passed: numberBefore(tail, 'passed') + numberBefore(tail, 'flaky'),
    failed: numberBefore(tail, 'failed'),
    skipped: numberBefore(tail, 'skipped'),
    flaky: numberBefore(tail, 'flaky'),
  };
};

const begun = Date.now();
ensurePackages();
ensureSystemTools();
run('node', ['scripts/ship-fonts.mjs']);
run('npx', ['next', 'typegen']);
process.stdout.write(`Packages: done in ${since(begun)}.\n`);
process.env.MESA_TYPES_CHECKED = '1';

/** Lint and types keep one core busy, the build the other. */
async function checked() {
  const lint = await counted('Lint', 'npx', ['eslint', '.']);
  const types = await counted('Types', 'npx', ['tsc', '--noEmit']);
  return lint.ok && types.ok;
}

const [sound, build] = await Promise.all([checked(), counted('Build', 'npm', ['run', '-s', 'build'])]);
// Each of these keeps both cores busy: beside each other they would only starve each other.
const unit = await counted('Unit tests', 'npx', ['jest', '--maxWorkers=2'], jestCounts);
const paths = build.ok
  ? await counted('End-to-end tests', 'npx', ['playwright', 'test'], playwrightCounts)
  : { ...playwrightCounts(''), ok: false };
const sum = (key) => unit[key] + paths[key];
const broken = !sound || !unit.ok || !paths.ok;
const failed = Math.max(sum('failed'), broken ? 1 : 0);
process.stdout.write(
  `\nUnit tests: ${unit.passed} passed. End-to-end: ${paths.passed} passed. All in ${since(begun)}.\n`,
);
process.stdout.write(
  `${sum('passed')} passed, ${failed} failed${sum('skipped') > 0 ? `, ${sum('skipped')} skipped` : ''}${paths.flaky > 0 ? `, ${paths.flaky} flaky` : ''}\n`,
);
process.exit(broken || sum('passed') === 0 ? 1 : 0);
