/**
 * Mutation testing of the core, outside CI: `npm run mutants -- core/heat`. Words are not mutated: no unit test should hold a sentence
 * still. The long simulations are left out, so that a mutant costs seconds; a mutant only they would find counts as alive.
 */
export default {
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  jest: { configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutator: { excludedMutations: ['StringLiteral'] },
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false, reportScoreTable: true },
  jsonReporter: { fileName: 'tmp/mutants/report.json' },
  tempDirName: 'tmp/stryker',
  ignorePatterns: ['.next', 'docs', 'public', 'test-results', 'tmp', 'e2e'],
  concurrency: 2,
  timeoutMS: 8000,
  timeoutFactor: 2,
  allowEmpty: true,
};
