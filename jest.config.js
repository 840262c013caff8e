export default {
  roots: ['<rootDir>/tests'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '\\.ts$': '<rootDir>/scripts/jest-transform.mjs' },
  testEnvironment: 'node',
  testTimeout: 120_000,
};
