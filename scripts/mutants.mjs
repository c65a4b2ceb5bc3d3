// Mutation testing of one room of the core or more, each held by its own tests: npm run mutants -- core/heat core/run
// The faults that once survived, by name: npm run mutants -- named
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { NAMED_MUTANTS } from './namedMutants.mjs';

/** All unit tests of the core but the slow ones, in a copy of the sources. True where one of them fails. */
function found(copy) {
  const tests = ['--ci', '--bail', '--silent', '--config', 'jest.mutants.config.mjs'];
  return (
    spawnSync('npx', ['jest', ...tests], { cwd: copy, env: { ...process.env, MUTANT_ROOMS: 'src/core' } })
      .status !== 0
  );
}

function named() {
  const copy = path.resolve('tmp/named');
  rmSync(copy, { recursive: true, force: true });
  mkdirSync(copy, { recursive: true });
  for (const part of [
    'src',
    'scripts',
    'docs',
    'jest.config.mjs',
    'jest.mutants.config.mjs',
    'package.json',
    'tsconfig.json',
  ])
    cpSync(part, path.join(copy, part), { recursive: true });
  symlinkSync(path.resolve('node_modules'), path.join(copy, 'node_modules'));
  let alive = 0;
  for (const { what, file, from, to } of NAMED_MUTANTS) {
    const at = path.join(copy, file);
    const text = readFileSync(at, 'utf8');
    if (text.split(from).length !== 2) throw new Error(`${file} does not hold “${from}” once.`);
    writeFileSync(at, text.replace(from, to));
    const killed = found(copy);
    writeFileSync(at, text);
    alive += killed ? 0 : 1;
    process.stdout.write(`${killed ? 'killed  ' : 'SURVIVED'}  ${what}\n`);
  }
  rmSync(copy, { recursive: true, force: true });
  return alive === 0 ? 0 : 1;
}

function rooms(names) {
  const dirs = names.map((room) => `src/${room.replace(/^src\//, '').replace(/\/$/, '')}`);
  const mutate = [...dirs.map((dir) => `${dir}/**/*.ts`), '!src/**/*.test.ts', '!src/**/test*.ts'].join(',');
  return spawnSync('npx', ['stryker', 'run', '--mutate', mutate], {
    stdio: 'inherit',
    env: { ...process.env, MUTANT_ROOMS: dirs.join(',') },
  }).status;
}

const names = process.argv.slice(2);
if (names.length === 0) {
  process.stderr.write('Which room? npm run mutants -- core/heat, or: npm run mutants -- named\n');
  process.exit(2);
}
process.exit(names[0] === 'named' ? named() : (rooms(names) ?? 1));
