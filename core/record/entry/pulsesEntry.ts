import { plain, say, verbatim } from '../../measure/message/index.ts';
import type { Target } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { parsePulses } from '../../measure/quantity/index.ts';
import type { EntryDefaults, Entry, EntryFault } from './entry.ts';

type WireTarget = Extract<Target, { kind: 'wire' }>;
type Sends = EntryDefaults['pulsesAs'];

/** What a meter counted on a signal; fails on other wires, and for a duty where a sensor gives volts. */
export function pulsesEntry(
  { lane, place }: WireTarget,
  value: string,
  pulsesAs: Sends,
): Result<Entry, EntryFault> {
  const read = parsePulses(value);
  if (!read.ok) return read;
  if (lane !== 'signal')
    return fail('wrong-quantity', say('entry.pulses-on-the-signal-only'), say('entry.type-wire-volts'));
  const { form } = read.value;
  if (form === 'duty' && pulsesAs === undefined)
    return fail(
      'wrong-quantity',
      say('entry.duty-says-nothing-of-volts', { text: verbatim(value) }),
      say('entry.type-wire-volts'),
    );
  return form === 'frequency'
    ? ok({ kind: form, lane, place, hertz: read.value.hertz, warnings: [] })
    : ok({ kind: form, lane, place, upPercent: read.value.upPercent, warnings: [] });
}

/** More than this is no average of a line, and a bare number may be what a meter counted. */
const MOST_AVERAGE_VOLTS = 16;

/** Of a sensor that sends pulses, a bare number that is hardly a voltage: the unit is asked for, so that nothing is taken for another. */
export function whichUnit(
  { lane }: WireTarget,
  text: string,
  pulsesAs: Sends,
): Result<Entry, EntryFault> | undefined {
  const number = Number(text.replace(',', '.'));
  if (pulsesAs === undefined || lane !== 'signal' || !(number > MOST_AVERAGE_VOLTS)) return undefined;
  const said = { form: pulsesAs, number: plain(number) };
  return fail('two-readings', say('entry.volts-or-pulses', said), say('entry.type-with-its-unit', said));
}
