/*
 * Machines that the judgement was not made by: a second simulator with equations of its own, for judging it and for nothing
 * else. It knows of the program what is printed on a sensor and how a reading is noted.
 */
export { Stranger } from './stranger.ts';
export { StrangeTechnician, type Asked, type Took } from './technician.ts';
export { STRANGE_FAMILIES } from './strangeSensor.ts';
export { resistor, solveNodes, battery, diode, regulator } from './nodalCircuit.ts';
