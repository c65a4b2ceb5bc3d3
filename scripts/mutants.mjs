// Mutation testing of one room of the core or more: npm run mutants -- core/heat core/run
import { spawnSync } from 'node:child_process';

const rooms = process.argv.slice(2);
if (rooms.length === 0) {
  process.stderr.write('Which room? npm run mutants -- core/heat\n');
  process.exit(2);
}
const mutate = rooms.map((room) => `src/${room.replace(/^src\//, '').replace(/\/$/, '')}/**/*.ts`);
const files = [...mutate, '!src/**/*.test.ts', '!src/**/test*.ts'];
const made = spawnSync('npx', ['stryker', 'run', '--mutate', files.join(',')], { stdio: 'inherit' });
process.exit(made.status ?? 1);
