import { say, verbatim } from '../../measure/message/index.ts';
import { SIGNAL_LANES, type Target } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import {
  isPressure,
  measurandSaid,
  MEASURANDS,
  parseReading,
  PULSES_SAID,
} from '../../measure/quantity/index.ts';
import { type EntryDefaults, type Entry, type EntryFault } from './entry.ts';
import { sortWords, type Words } from './entryWords.ts';
import { gaugeEntry, absoluteEntry } from './pressureEntry.ts';
import { stretchEntry } from './betweenEntry.ts';
import { pulsesEntry, whichUnit } from './pulsesEntry.ts';

/**
 * One field that understands how technicians speak: `sig plug 2.31`, `ref ecu 4.98`, `ret 12mV`,
 * `gauge 16.5 inHg vac`, `scan 47 kPa`, `baro 100.9`, or a bare number for the point in hand. Two places make a
 * stretch of wire: `ret unit plug 34mV`, `ret unit plug 4.8 ohm`. Hertz and percent are counted: `sig plug 107 Hz`. Live data in volts
 * names its signal: `scan sig2 0.46`.
 */
export function quickEntry(text: string, defaults: EntryDefaults): Result<Entry, EntryFault> {
  const { pressureUnit, gaugeUnit, measures, highestKpa, pulsesAs } = defaults;
  const words = sortWords(text);
  if (words.second !== undefined) {
    return fail(
      'two-targets',
      say('entry.names-two-things-once-second', { second: verbatim(words.second) }),
      say('entry.type-one-line-sig-0'),
    );
  }
  if (words.lane && words.place && words.toPlace)
    return stretchEntry(words.lane, words.place, words.toPlace, words.value);
  const target = targetOf(words, defaults);
  if (!target.ok) return target;
  if (target.value.kind === 'wire') {
    if (PULSES_SAID.test(words.value)) return pulsesEntry(target.value, words.value, pulsesAs);
    const reading = parseReading(words.value, 'V');
    const which = whichUnit(target.value, words.value, pulsesAs);
    if (which) return which;
    if (!reading.ok) return reading;
    const { value: volts, warnings: all } = reading.value;
    // Millivolts are what a return should show, and 12 V what a battery feed should.
    const usual = { return: 'millivolts', 'battery-feed': 'millivolts-suspected' } as const;
    const { lane } = target.value;
    const warnings = all.filter(({ code }) => !(lane in usual) || code !== usual[lane as keyof typeof usual]);
    return ok({ ...target.value, volts, warnings });
  }
  if (target.value.kind === 'live-volts') {
    const read = parseReading(words.value, 'V');
    return read.ok ? ok({ ...target.value, volts: read.value.value, warnings: read.value.warnings }) : read;
  }
  if (target.value.kind === 'scan' && !isPressure(measures)) {
    const shown = parseReading(words.value, MEASURANDS[measures].unit);
    return shown.ok ? ok({ kind: 'scan', measures, value: shown.value.value, warnings: [] }) : shown;
  }
  const reading = parseReading(
    words.value,
    target.value.kind === 'gauge' ? gaugeUnit : pressureUnit,
    target.value.kind === 'ambient' ? undefined : highestKpa,
  );
  if (!reading.ok) return reading;
  const { value: pressureKpa, warnings } = reading.value;
  if (target.value.kind === 'gauge') {
    return gaugeEntry(target.value.tap, pressureKpa, { basis: words.basis, measures, warnings });
  }
  if (target.value.kind === 'scan' && measures !== 'absolute-pressure') {
    return words.basis === 'absolute' || words.basis === 'vacuum'
      ? fail(
          'wrong-basis',
          say('entry.sensor-reports', { words: measurandSaid(measures) }),
          say('entry.type-value-live-data-shows'),
        )
      : ok({ kind: 'scan', measures, value: pressureKpa, warnings });
  }
  return absoluteEntry(target.value.kind, pressureKpa, words.basis, warnings);
}

type EntryTarget = Target | { kind: 'ambient' };

function targetOf(
  words: Words,
  { selected, measures, tap = 'sensor-hose' }: EntryDefaults,
): Result<EntryTarget, EntryFault> {
  const ofPressure = words.basis ?? (words.tap && 'a gauge');
  if (ofPressure && words.lane)
    return fail(
      'wrong-basis',
      say('entry.belongs-pressure-wire-volts', { text: verbatim(ofPressure) }),
      say('entry.type-wire-volts-gauge-gauge'),
    );
  // A basis alone can only be of a gauge, whatever wire is in hand: “vacuum 16” is not 16 V.
  if (ofPressure && !words.pressure && selected?.kind !== 'gauge' && selected?.kind !== 'scan')
    return isPressure(measures)
      ? ok({ kind: 'gauge', tap: words.tap ?? tap })
      : fail('no-target', say('entry.showed-pressure'), say('entry.name-gauge-manifold-16-5'));
  if (words.lane && words.pressure === 'scan') {
    const lane = SIGNAL_LANES.find((one) => one === words.lane);
    return lane && (words.place ?? 'unit') === 'unit'
      ? ok({ kind: 'live-volts', lane })
      : fail('wrong-basis', say('entry.live-data-has-signals-only'), say('entry.type-live-volts'));
  }
  if (words.lane) return ok({ kind: 'wire', lane: words.lane, place: words.place ?? 'plug' });
  if (words.place) {
    if (selected?.kind === 'wire') return ok({ ...selected, place: words.place });
    return fail('place-needs-wire', say('entry.which-wire-is-that'), say('entry.put-ref-sig-ret-first'));
  }
  if (words.pressure === 'gauge') return ok({ kind: 'gauge', tap: words.tap ?? tap });
  if (words.pressure) return ok({ kind: words.pressure });
  if (selected) return ok(selected);
  return fail('no-target', say('entry.where-read'), say('entry.tap-point-first-name-sig'));
}
