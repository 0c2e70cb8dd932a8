import type { Lane } from '../../machine/places/index.ts';
import type { AnyEvidence } from './readingKinds.ts';

/** The wires that a reading was taken on, with what was attached meanwhile. */
export function lanesIn(reading: AnyEvidence): Lane[] {
  const points = (reading.state.harness?.attachments ?? []).flatMap((one) =>
    one.kind === 'voltage-source' ? [one.at] : [one.from, one.to],
  );
  if ('from' in reading) points.push(reading.from, reading.to);
  const lanes = points.flatMap((point) => (typeof point === 'string' ? [] : [point.lane]));
  return 'lane' in reading ? [...lanes, reading.lane] : lanes;
}
