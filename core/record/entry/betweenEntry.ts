import { say } from '../../measure/message/index.ts';
import type { Lane, Place, ProbePoint } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { parseOhms, parseReading } from '../../measure/quantity/index.ts';
import { type Entry, type EntryFault } from './entry.ts';
import { OHMS_SAID } from './entryWords.ts';

/** A value along one wire, in ohms where its unit says so; fails where both ends are one place. */
export function stretchEntry(lane: Lane, from: Place, to: Place, value: string): Result<Entry, EntryFault> {
  if (from === to)
    return fail('one-place', say('entry.both-ends-same-place'), say('entry.name-two-ret-unit-plug'));
  return betweenEntry(
    OHMS_SAID.test(value) ? 'ohms' : 'between',
    { lane, place: from },
    { lane, place: to },
    value,
  );
}

/** A value between two points, whose kind is known. */
export function betweenEntry(
  kind: 'between' | 'ohms',
  from: ProbePoint,
  to: ProbePoint,
  value: string,
): Result<Entry, EntryFault> {
  if (kind === 'ohms') {
    const ohms = parseOhms(value);
    return ohms.ok
      ? ok({ kind, from, to, ohms: Number.isFinite(ohms.value) ? ohms.value : null, warnings: [] })
      : ohms;
  }
  const reading = parseReading(value, 'V');
  if (!reading.ok) return reading;
  const { value: volts, warnings } = reading.value;
  // Against battery negative it is the reading of one point.
  if (to === 'battery-negative' && typeof from !== 'string' && from.place !== 'pin')
    return ok({ kind: 'wire', lane: from.lane, place: from.place, volts, warnings });
  // Millivolts and either sign are what a drop should show.
  return ok({
    kind,
    from,
    to,
    volts,
    warnings: warnings.filter(({ code }) => code === 'millivolts-suspected'),
  });
}
