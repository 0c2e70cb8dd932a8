import { decisionWords } from './decisionWords.ts';

/** Names in verdicts from before the weighing reasoned with the circuit; what was recorded stays readable. */
const EARLIER: Readonly<Record<string, string>> = {
  'reference-open': 'Reference wire open',
  'reference-supply': 'Control unit gives no proper reference',
  'return-resistance': 'Return wire open or high in resistance',
  'unit-ground': 'Control unit’s own ground raised',
  'signal-open': 'Signal wire open',
  'signal-short-reference': 'Signal shorted to reference',
  'signal-short-ground': 'Signal shorted to ground or return',
  'sensor-shifted': 'Sensor reads shifted',
  'sensor-stuck': 'Sensor stuck or dead',
  'sensor-loads-reference': 'Sensor pulls the reference down',
  hose: 'Hose to the sensor blocked, split or off',
  'engine-vacuum': 'Engine vacuum really is low',
  path: 'What moves the sensor is at fault',
  'unit-input': 'Control unit does not read its input',
  nothing: 'Nothing wrong now',
};

/** The title of a recorded cause; undefined for a name that never was one. */
export const causeTitle = (cause: string): string | undefined =>
  decisionWords(cause)?.title ?? EARLIER[cause];
