export { Rig } from './rig.ts';
