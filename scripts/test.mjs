// Everything, from a fresh clone: packages, types, lint, unit tests, build, end-to-end tests. Prints what ran.
import { spawn } from 'node:child_process';
import { ensurePackages, ensureSystemTools, run } from './setup.mjs';

/** Runs a test program, shows its output as it comes, and reads the counts from it. */
function counted(command, args, read) {
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
    child.on('close', (code) => resolve({ ...read(text), code: code ?? 1 }));
  });
}

/** Programs one after another, until one fails. */
async function inTurn(commands) {
  for (const [command, args] of commands) {
    const { code } = await counted(command, args, () => ({}));
    if (code === 0) continue;
    process.stderr.write(`${command} ${args.join(' ')} did not succeed.\n`);
    return false;
  }
  return true;
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
    passed: numberBefore(tail, 'passed'),
    failed: numberBefore(tail, 'failed'),
    skipped: numberBefore(tail, 'skipped'),
  };
};

ensurePackages();
ensureSystemTools();
run('node', ['scripts/ship-fonts.mjs']);
run('npx', ['next', 'typegen']);
// The linter keeps one core busy for minutes: types and build go on beside it, on the other.
process.env.MESA_TYPES_CHECKED = '1';
const sound = await Promise.all([
  inTurn([['npx', ['eslint', '.']]]),
  inTurn([
    ['npx', ['tsc', '--noEmit']],
    ['npm', ['run', '-s', 'build']],
  ]),
]);
if (sound.includes(false)) process.exit(1);
const unit = await counted('npx', ['jest'], jestCounts);
const paths = await counted('npx', ['playwright', 'test'], playwrightCounts);

const sum = (key) => unit[key] + paths[key];
const broken = unit.code !== 0 || paths.code !== 0;
const failed = Math.max(sum('failed'), broken ? 1 : 0);
process.stdout.write(`\nUnit tests: ${unit.passed} passed. End-to-end: ${paths.passed} passed.\n`);
process.stdout.write(
  `${sum('passed')} passed, ${failed} failed${sum('skipped') > 0 ? `, ${sum('skipped')} skipped` : ''}\n`,
);
process.exit(broken || sum('passed') === 0 ? 1 : 0);
