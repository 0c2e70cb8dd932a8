export { LIVE_CIRCUIT, Rig } from './rig.ts';
