export { TERMINAL_COUNTS, type TerminalCount } from './bodies.ts';
export { findWires, type TerminalFinding, type WireFinding } from './findWires.ts';
export {
  PLUG_TESTS,
  ROLE_WORDS,
  ROLES,
  roleOf,
  TEST_WORDS,
  type PlugReading,
  type PlugTest,
  type Role,
} from './plugTest.ts';
export { readPlugValue } from './readPlugValue.ts';
export type { Unlike } from './unlikeSound.ts';
