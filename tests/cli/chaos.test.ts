import { expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';

test('a few rounds of chaos leave nothing hung, cut or raw', () => {
  // It ends with 1 where anything fell, and says which round that was.
  const said = execFileSync(process.execPath, ['tests/chaos/chaos.mjs', '--minutes', '3', '--rounds', '22', '--seed', '5'], { encoding: 'utf8' }); // prettier-ignore
  expect(said.match(/^\w+ +2 made, 0 fell$/gm)!.length).toBeGreaterThanOrEqual(10);
});
