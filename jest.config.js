export default {
  roots: ['<rootDir>/tests'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '\\.ts$': '<rootDir>/scripts/jest-transform.mjs' },
  // What the build packs for Node.
  moduleNameMapper: { '^#(fontkit|linebreak|bidi-js)$': '$1' },
  testEnvironment: 'node',
  testTimeout: 120_000,
};
