import type { Joint } from '../wiring/index.ts';

export const JOINT_WORDS: Record<Joint, string> = {
  unit: 'inside the control unit',
  first: 'between control unit and inline connector',
  second: 'between inline connector and sensor plug',
  plug: 'at the contact of the sensor plug',
  inside: 'inside the sensor’s housing',
};

/** Common practice. */
export const LOOM_HIDES =
  'Breaks hide where the loom bends, gets hot, vibrates, rubs or was in an accident, and in the crimp behind the plug.';
