export default {
  testEnvironment: 'node',
  // Two suites on two cores beside each other, and storage that is slow outside a browser.
  testTimeout: 30_000,
  roots: ['<rootDir>/src'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '<rootDir>/scripts/jestTransform.cjs',
      {
        jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(icu-minify|@formatjs|d3|d3-[a-z-]+|internmap|delaunator|robust-predicates)/)'],
};
