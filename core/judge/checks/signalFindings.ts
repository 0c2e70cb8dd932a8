import { latest, latestWire, type ScanReading, type WireReading } from '../../record/evidence/index.ts';
import { ENGINE_WORDS, keyOn, STIMULUS_WORDS } from '../../machine/places/index.ts';
import { expectedValue, movedState, mustMove, type ExpectationFault } from '../../machine/family/index.ts';
import { ok, type Result } from '../../measure/problem/index.ts';
import { formatValue, isPressure, MEASURANDS } from '../../measure/quantity/index.ts';
import {
  boundWords,
  compareValues,
  fromLimits,
  measuredValue,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { finding, voltsInWords, type Finding, type Remark } from './finding.ts';
import { ambientPressure } from './gaugePressure.ts';
import { liveAgainstWire } from './liveAgainstWire.ts';
import { valueOfSignal, type SensorValue } from './sensorValue.ts';
import { signalArrives } from './signalArrives.ts';
import { signalAtRail } from './signalAtRail.ts';

/** Less movement than this between a stopped and a running engine is no movement: 0.1 V is about 1 inHg. */
const STUCK_VOLTS = 0.1;
/** With the plug off, an input this near a rail is at it. */
const RAIL_VOLTS = 0.8;

interface Found {
  findings: Finding[];
  remarks: Remark[];
}

export function signalFindings(caseFile: CaseFile): Found {
  const parts = [stoppedEngine, follows, arrivesAtUnit, unplugged, liveData].map((part) => part(caseFile));
  return {
    findings: parts.flatMap((part) => part.findings ?? []),
    remarks: parts.flatMap((part) => part.remarks ?? []),
  };
}

const at = (caseFile: CaseFile, place: 'plug' | 'unit', engine: string): WireReading | undefined =>
  latestWire(
    caseFile.readings,
    'signal',
    place,
    (state) => state.plug === 'connected' && state.engine === engine && !state.stimulus,
  );

function stoppedEngine(caseFile: CaseFile): Partial<Found> {
  const signal = at(caseFile, 'plug', 'koeo');
  if (!signal) return {};
  const said = `Signal at the sensor plug is ${voltsInWords(signal.volts)} with the engine stopped`;
  const rail = signalAtRail(signal, caseFile);
  if (rail) {
    const sentence = `${said}: past the circuit-${rail} limit, no ${nounOf(caseFile)} gives that.`;
    return { findings: [finding(`signal-koeo=${rail}`, sentence, [signal.id])] };
  }
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return { remarks: [{ sentence: sensor.problem.message, readingIds: [signal.id] }] };
  const should = expectedStopped(caseFile);
  if (!should.ok) {
    const sentence = `${said}. ${should.problem.message} ${should.problem.next}`;
    return { remarks: [{ sentence, readingIds: [signal.id] }] };
  }
  return againstExpected(caseFile, said, sensor.value, should.value);
}

interface Stopped {
  measured: MeasuredValue;
  inWords: string;
}

/** The band as a value with limits; the doubt of ambient is in it where the sensor counts from nothing. */
function expectedStopped(caseFile: CaseFile): Result<Stopped, ExpectationFault> {
  const band = expectedValue({ engine: 'koeo', plug: 'connected' }, caseFile);
  if (!band.ok) return band;
  const { lowest, highest } = band.value;
  const { ambient, profile, pressureUnit } = caseFile;
  const terms = profile.measures === 'absolute-pressure' && ambient ? ambientPressure(ambient).terms : [];
  const width = { source: 'what it should read', standardUncertainty: fromLimits((highest - lowest) / 2) };
  const show = (value: number) => formatValue(value, profile.measures, pressureUnit);
  return ok(
    highest > lowest
      ? {
          measured: measuredValue((lowest + highest) / 2, [...terms, width]),
          inWords: `${show(lowest)} to ${show(highest)}`,
        }
      : { measured: measuredValue(lowest, terms), inWords: show(lowest) },
  );
}

function againstExpected(
  caseFile: CaseFile,
  said: string,
  { asSeen, own, assumed, readingIds }: SensorValue,
  should: Stopped,
): Partial<Found> {
  const { profile, family, pressureUnit } = caseFile;
  const matters = profile.differenceThatMatters;
  const show = (value: number) => formatValue(value, profile.measures, pressureUnit);
  const seen = compareValues(asSeen, should.measured, matters);
  const shown = `${said}: ${boundWords(asSeen)}${show(asSeen.value)}`;
  const manifold = family === 'manifold-pressure';
  if (seen.outcome === 'cannot-tell' && seen.ofBound) {
    const sentence = `${shown}, the end of what the sensor can show; it should be ${should.inWords}. These cannot be compared.`;
    return { remarks: [{ sentence, readingIds }] };
  }
  if (seen.outcome === 'cannot-tell') {
    return {
      remarks: [{ sentence: `${shown}; limited by ${seen.limitedBy}, these cannot tell.`, readingIds }],
    };
  }
  if (seen.outcome === 'agree' || Math.abs(seen.difference) <= matters) {
    const sentence = `${shown}, ${manifold ? 'as ambient is' : 'as it should'}.`;
    return { findings: [finding('signal-koeo=as-expected', sentence, readingIds)] };
  }
  const away = `${shown}, but ${manifold ? 'ambient is' : 'it should be'} ${should.inWords}`;
  if (assumed.includes('return')) {
    const sentence = `${away}. The return has not been measured yet: it could explain this.`;
    return { findings: [finding('signal-koeo=shifted-perhaps-by-return', sentence, readingIds)] };
  }
  if (Math.abs(compareValues(own, should.measured, matters).difference) > matters) {
    return { findings: [finding('signal-koeo=shifted', `${away}.`, readingIds)] };
  }
  const sentence = `${away}. Taken against its own return the sensor is right: the return shifts it.`;
  return { findings: [finding('signal-koeo=shifted-by-return', sentence, readingIds)] };
}

const nounOf = ({ profile }: CaseFile): string =>
  isPressure(profile.measures) ? 'pressure' : MEASURANDS[profile.measures].words;

function follows(caseFile: CaseFile): Partial<Found> {
  const stopped = at(caseFile, 'plug', 'koeo');
  const { family } = caseFile;
  const drive = mustMove(family) ? movedState(family) : undefined;
  const driven =
    drive &&
    latestWire(
      caseFile.readings,
      'signal',
      'plug',
      (state) =>
        state.plug === 'connected' &&
        state.engine === drive.engine &&
        state.stimulus?.kind === drive.stimulus?.kind,
    );
  if (!stopped || !driven) return {};
  const stuck = Math.abs(stopped.volts - driven.volts) < STUCK_VOLTS;
  const { engine, stimulus } = driven.state;
  const where = stimulus ? STIMULUS_WORDS[stimulus.kind] : `at ${ENGINE_WORDS[engine]}`;
  const path = `from ${voltsInWords(stopped.volts)} with the engine stopped to ${voltsInWords(driven.volts)} ${where}`;
  return {
    findings: [
      finding(
        `signal-follows=${stuck ? 'stuck' : 'moves'}`,
        stuck ? `The signal stays put: ${path}.` : `The signal moves ${path}.`,
        [stopped.id, driven.id],
      ),
    ],
  };
}

function arrivesAtUnit(caseFile: CaseFile): Partial<Found> {
  for (const engine of ['koeo', 'idle', 'held-revs'] as const) {
    const plug = at(caseFile, 'plug', engine);
    const unit = at(caseFile, 'unit', engine);
    if (!plug || !unit) continue;
    const same = signalArrives(plug, unit, caseFile);
    const pair = `${voltsInWords(plug.volts)} at the plug, ${voltsInWords(unit.volts)} at the unit`;
    return {
      findings: [
        finding(
          `signal-unit-vs-plug=${same ? 'same' : 'differs'}`,
          same ? `The signal arrives: ${pair}.` : `The signal does not arrive: ${pair}.`,
          [plug.id, unit.id],
        ),
      ],
    };
  }
  return {};
}

function unplugged(caseFile: CaseFile): Partial<Found> {
  const reading = latestWire(
    caseFile.readings,
    'signal',
    'plug',
    (state) => keyOn(state) && state.plug === 'unplugged',
  );
  if (!reading) return {};
  const { bias, nominalReferenceVolts } = caseFile.profile;
  const said = `With the plug off the signal wire goes to ${voltsInWords(reading.volts)}`;
  const high = reading.volts > nominalReferenceVolts - RAIL_VOLTS;
  const low = reading.volts < RAIL_VOLTS;
  if (bias === 'unknown' || (!high && !low)) {
    return {
      remarks: [{ sentence: `${said}; which level is right here is not known.`, readingIds: [reading.id] }],
    };
  }
  const atBias = high === (bias === 'pull-up');
  const held = high ? 'held-high' : 'held-low';
  const sentence = atBias
    ? `${said}: the bias level. A short to that side would look the same.`
    : `${said}: something in the wiring holds it there.`;
  return {
    findings: [finding(`signal-unplugged=${atBias ? 'at-bias' : held}`, sentence, [reading.id])],
  };
}

function liveData(caseFile: CaseFile): Partial<Found> {
  const scan = latest(
    caseFile.readings,
    (reading): reading is ScanReading =>
      reading.kind === 'scan' &&
      reading.measures === caseFile.profile.measures &&
      !reading.state.stimulus &&
      reading.state.plug === 'connected' &&
      at(caseFile, 'plug', reading.state.engine) !== undefined,
  );
  const signal = scan && at(caseFile, 'plug', scan.state.engine);
  if (!scan || !signal) return {};
  const readingIds = [scan.id, signal.id];
  if (signalAtRail(signal, caseFile)) {
    const sentence =
      'The signal is past a circuit limit, so live data may be a substituted value: not weighed.';
    return { remarks: [{ sentence, readingIds }] };
  }
  const compared = liveAgainstWire(caseFile, signal, scan);
  if (!compared) return {};
  const { onWire, differs } = compared;
  const { profile, pressureUnit } = caseFile;
  const show = (value: number) => formatValue(value, profile.measures, pressureUnit);
  const pair = `${show(scan.value)} in live data, ${show(onWire)} on the wire`;
  return {
    findings: [
      finding(
        `live-vs-plug=${differs ? 'differs' : 'agrees'}`,
        differs
          ? `Live data is not what is on the wire: ${pair}.`
          : `Live data shows what is on the wire: ${pair}.`,
        readingIds,
      ),
    ],
  };
}
