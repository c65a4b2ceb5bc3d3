import { spawnSync } from 'node:child_process';

test('the drawing of the rooms in docs is what the imports say', () => {
  const { status, stderr } = spawnSync('node', ['scripts/rooms.mjs', '--check'], { encoding: 'utf8' });
  expect([status, stderr]).toEqual([0, '']);
});
