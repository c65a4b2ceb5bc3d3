// Mutation testing of one room of the core or more, each held by its own tests: npm run mutants -- core/heat core/run
import { spawnSync } from 'node:child_process';

const rooms = process.argv.slice(2).map((room) => `src/${room.replace(/^src\//, '').replace(/\/$/, '')}`);
if (rooms.length === 0) {
  process.stderr.write('Which room? npm run mutants -- core/heat\n');
  process.exit(2);
}
const mutate = [...rooms.map((room) => `${room}/**/*.ts`), '!src/**/*.test.ts', '!src/**/test*.ts'].join(',');
const made = spawnSync('npx', ['stryker', 'run', '--mutate', mutate], {
  stdio: 'inherit',
  env: { ...process.env, MUTANT_ROOMS: rooms.join(',') },
});
process.exit(made.status ?? 1);
