import { keyOn, latest, latestWire, type ScanReading, type WireReading } from '../evidence/index.ts';
import { formatPressure } from '../quantity/index.ts';
import { signalBand } from '../transfer/index.ts';
import { comparePressures, fromResolution, measuredPressure, SCAN_STEP_KPA } from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { finding, voltsInWords, type Finding, type Remark } from './finding.ts';
import { ambientPressure } from './gaugePressure.ts';
import { pressureOfSignal } from './sensorPressure.ts';
import { signalArrives } from './signalArrives.ts';

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
    (state) => state.plug === 'connected' && state.engine === engine,
  );

/** Whether the unit would call this signal a circuit fault, and so show a substituted value. */
export function signalAtRail(signal: WireReading, caseFile: CaseFile): 'low' | 'high' | undefined {
  const band = signalBand(signal.volts, caseFile.profile.nominalReferenceVolts, caseFile.profile);
  return band === 'circuit-low' ? 'low' : band === 'circuit-high' ? 'high' : undefined;
}

function stoppedEngine(caseFile: CaseFile): Partial<Found> {
  const signal = at(caseFile, 'plug', 'koeo');
  if (!signal) return {};
  const said = `Signal at the sensor plug is ${voltsInWords(signal.volts)} with the engine stopped`;
  const rail = signalAtRail(signal, caseFile);
  if (rail) {
    const sentence = `${said}: past the circuit-${rail} limit, no pressure gives that.`;
    return { findings: [finding('signal-koeo', [rail], sentence, [signal.id])] };
  }
  const sensor = pressureOfSignal(caseFile, signal);
  if (!sensor.ok) return { remarks: [{ sentence: sensor.problem.message, readingIds: [signal.id] }] };
  if (!caseFile.ambient) {
    return {
      remarks: [
        { sentence: `${said}; whether that is ambient needs the ambient pressure.`, readingIds: [signal.id] },
      ],
    };
  }
  const { asSeen, own, assumed, readingIds } = sensor.value;
  const ambient = ambientPressure(caseFile.ambient);
  const matters = caseFile.profile.differenceThatMattersKpa;
  const seen = comparePressures(asSeen, ambient, matters);
  const shown = `${said}: ${formatPressure(asSeen.pressureKpaAbs, caseFile.pressureUnit)}`;
  const expected = formatPressure(ambient.pressureKpaAbs, caseFile.pressureUnit);
  if (seen.outcome === 'cannot-tell') {
    return {
      remarks: [{ sentence: `${shown}; limited by ${seen.limitedBy}, these cannot tell.`, readingIds }],
    };
  }
  if (seen.outcome === 'agree' || Math.abs(seen.differenceKpa) <= matters) {
    return { findings: [finding('signal-koeo', ['ambient'], `${shown}, as ambient is.`, readingIds)] };
  }
  const away = `${shown}, but ambient is ${expected}`;
  if (assumed.includes('return')) {
    const sentence = `${away}. The return has not been measured yet: it could explain this.`;
    return { findings: [finding('signal-koeo', ['shifted', 'shifted-by-return'], sentence, readingIds)] };
  }
  const honest = Math.abs(comparePressures(own, ambient, matters).differenceKpa) <= matters;
  return honest
    ? {
        findings: [
          finding(
            'signal-koeo',
            ['shifted-by-return'],
            `${away}. Taken against its own return the sensor is right: the return shifts it.`,
            readingIds,
          ),
        ],
      }
    : { findings: [finding('signal-koeo', ['shifted'], `${away}.`, readingIds)] };
}

function follows(caseFile: CaseFile): Partial<Found> {
  const stopped = at(caseFile, 'plug', 'koeo');
  const idle = at(caseFile, 'plug', 'idle');
  if (!stopped || !idle) return {};
  const stuck = Math.abs(stopped.volts - idle.volts) < STUCK_VOLTS;
  const path = `from ${voltsInWords(stopped.volts)} with the engine stopped to ${voltsInWords(idle.volts)} at idle`;
  return {
    findings: [
      finding(
        'signal-follows',
        [stuck ? 'stuck' : 'moves'],
        stuck ? `The signal stays put: ${path}.` : `The signal moves ${path}.`,
        [stopped.id, idle.id],
      ),
    ],
  };
}

function arrivesAtUnit(caseFile: CaseFile): Partial<Found> {
  for (const engine of ['koeo', 'idle', 'held-revs'] as const) {
    const plug = at(caseFile, 'plug', engine);
    const unit = at(caseFile, 'unit', engine);
    if (!plug || !unit) continue;
    const same = signalArrives(plug.volts, unit.volts, caseFile.meter);
    const pair = `${voltsInWords(plug.volts)} at the plug, ${voltsInWords(unit.volts)} at the unit`;
    return {
      findings: [
        finding(
          'signal-unit-vs-plug',
          [same ? 'same' : 'differs'],
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
    findings: [finding('signal-unplugged', atBias ? ['at-bias', held] : [held], sentence, [reading.id])],
  };
}

function liveData(caseFile: CaseFile): Partial<Found> {
  const scan = latest(
    caseFile.readings,
    (reading): reading is ScanReading =>
      reading.kind === 'scan' &&
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
  const sensor = pressureOfSignal(caseFile, signal);
  if (!sensor.ok) return {};
  // Both sides use the sensor's own curve, so its tolerance is no doubt here.
  const onWire = measuredPressure(
    sensor.value.asSeen.pressureKpaAbs,
    sensor.value.asSeen.terms.filter((term) => term.source !== 'sensor tolerance'),
  );
  const shown = measuredPressure(scan.pressureKpaAbs, [
    { source: 'live data step', standardUncertaintyKpa: fromResolution(SCAN_STEP_KPA) },
  ]);
  const { differenceKpa } = comparePressures(onWire, shown, caseFile.profile.differenceThatMattersKpa);
  const differs = Math.abs(differenceKpa) > caseFile.profile.differenceThatMattersKpa;
  const show = (kpa: number) => formatPressure(kpa, caseFile.pressureUnit);
  const pair = `${show(scan.pressureKpaAbs)} in live data, ${show(onWire.pressureKpaAbs)} on the wire`;
  return {
    findings: [
      finding(
        'live-vs-plug',
        [differs ? 'differs' : 'agrees'],
        differs
          ? `Live data is not what is on the wire: ${pair}.`
          : `Live data shows what is on the wire: ${pair}.`,
        readingIds,
      ),
    ],
  };
}
