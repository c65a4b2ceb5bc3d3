import base from './jest.config.mjs';

const rooms = (process.env.MUTANT_ROOMS ?? 'src/core').split(',');

/**
 * What a mutant is held against: the unit tests of its own room, and not what another room's test may notice by the way. The long simulations
 * are left out, so that a mutant costs a second.
 */
export default {
  ...base,
  roots: rooms.map((room) => `<rootDir>/${room}`),
  setupFiles: ['<rootDir>/scripts/fewerRuns.cjs'],
  testPathIgnorePatterns: ['/node_modules/', 'statedInterval\\.test', 'core/rooms\\.test', 'core/formats/'],
};
