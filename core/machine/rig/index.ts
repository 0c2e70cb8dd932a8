export { ohmsShown, TEST_VOLTS } from './ohmmeter.ts';
export { LIVE_CIRCUIT, Rig } from './rig.ts';
