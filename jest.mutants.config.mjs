import base from './jest.config.mjs';

/** Unit tests of the core without file formats and the long simulations: what a mutant is held against. */
export default {
  ...base,
  roots: ['<rootDir>/src/core'],
  testPathIgnorePatterns: [
    '/node_modules/',
    'core/formats/',
    'plan/coverage\\.test',
    'figures/coverage\\.test',
  ],
};
