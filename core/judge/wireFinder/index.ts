export { TERMINAL_COUNTS, type TerminalCount } from './bodies.ts';
export { findWires, type WireFinding } from './findWires.ts';
export type { TerminalFinding } from './terminalFinding.ts';
export {
  PLUG_TESTS,
  roleSaid,
  ROLES,
  roleOf,
  testSaid,
  type PlugReading,
  type PlugTest,
  type Role,
} from './plugTest.ts';
export { readPlugValue } from './readPlugValue.ts';
export type { Unlike } from './unlikeSound.ts';
