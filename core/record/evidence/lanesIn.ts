import type { Lane } from '../../machine/places/index.ts';
import type { AnyEvidence } from './evidence.ts';

/** The wires that a reading was taken on, with what was attached meanwhile. */
export function lanesIn(reading: AnyEvidence): Lane[] {
  const points = (reading.state.harness?.attachments ?? []).flatMap((one) =>
    one.kind === 'voltage-source' ? [one.at] : [one.from, one.to],
  );
  if (reading.kind === 'between' || reading.kind === 'ohms') points.push(reading.from, reading.to);
  const lanes = points.flatMap((point) => (typeof point === 'string' ? [] : [point.lane]));
  return reading.kind === 'wire' ? [...lanes, reading.lane] : lanes;
}
