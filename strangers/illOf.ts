import { CIRCUIT_ILLS } from './circuitIlls.ts';
import type { Draw } from './draw.ts';
import type { Ill } from './ill.ts';
import { PHYSICAL_ILLS } from './physicalIlls.ts';
import { SENSOR_ILLS } from './sensorIlls.ts';
import type { StrangeSensor } from './strangeSensor.ts';

const NOTHING: Ill = { name: 'nothing', class: 'nothing', isAt: ({ of }) => of === 'nothing' };
const NOTHING_WEIGHT = 15;

const ILLS = [[NOTHING_WEIGHT, () => NOTHING] as const, ...CIRCUIT_ILLS, ...SENSOR_ILLS, ...PHYSICAL_ILLS];

/** Something that this machine can have. */
export function illOf(draw: Draw, sensor: StrangeSensor): Ill {
  for (;;) {
    const found = draw.weighted(ILLS)(draw, sensor);
    if (found) return found;
  }
}
