export default {
  roots: ['<rootDir>/tests'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '\\.ts$': '<rootDir>/scripts/jest-transform.mjs' },
  // What the build packs for Node.
  moduleNameMapper: { '^#(fontkit|linebreak|bidi-js)$': '$1' },
  testEnvironment: 'node',
  // Long enough for a machine that stands still for minutes; what hangs is found by it all the same.
  testTimeout: 300_000,
};
