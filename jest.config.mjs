export default {
  testEnvironment: 'node',
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
  transformIgnorePatterns: ['/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates)/)'],
};
