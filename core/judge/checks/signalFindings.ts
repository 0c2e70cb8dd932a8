import { measured, say, volts, type Message, type Quantity } from '../../measure/message/index.ts';
import { latest, latestWire, type ScanReading, type WireReading } from '../../record/evidence/index.ts';
import { engineSaid, keyOn, stimulusKindSaid } from '../../machine/places/index.ts';
import {
  expectedValue,
  familyOf,
  movedState,
  mustMove,
  type ExpectationFault,
} from '../../machine/family/index.ts';
import { ok, problemSaid, type Result } from '../../measure/problem/index.ts';
import { isPressure, measurandSaid } from '../../measure/quantity/index.ts';
import { isSent } from '../../measure/transfer/index.ts';
import {
  boundSaid,
  compareValues,
  fromLimits,
  measuredValue,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { finding, type Finding, type Remark } from './finding.ts';
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

/** What the signal says at each place, against what it should be and against live data. */
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
  const said = say('checks.signal-sensor-plug-engine-stopped', { volts: volts(signal.volts) });
  const rail = signalAtRail(signal, caseFile);
  if (rail) {
    const sentence = say('checks.past-circuit-limit-no-gives', {
      said,
      rail,
      quantity: isPressure(caseFile.profile.measures)
        ? say('checks.pressure')
        : measurandSaid(caseFile.profile.measures),
    });
    return { findings: [finding(`signal-koeo=${rail}`, sentence, [signal.id])] };
  }
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return { remarks: [{ sentence: sensor.problem.message, readingIds: [signal.id] }] };
  const should = expectedStopped(caseFile);
  if (!should.ok) {
    const sentence = say('checks.no-expectation', { said, problem: problemSaid(should.problem) });
    return { remarks: [{ sentence, readingIds: [signal.id] }] };
  }
  return againstExpected(caseFile, said, sensor.value, should.value);
}

interface Stopped {
  measured: MeasuredValue;
  band: Message | Quantity;
}

/** The band as a value with limits; the doubt of ambient is in it where the sensor counts from nothing. */
function expectedStopped(caseFile: CaseFile): Result<Stopped, ExpectationFault> {
  const band = expectedValue({ engine: 'koeo', plug: 'connected' }, caseFile);
  if (!band.ok) return band;
  const { lowest, highest } = band.value;
  const { ambient, profile } = caseFile;
  const terms = profile.measures === 'absolute-pressure' && ambient ? ambientPressure(ambient).terms : [];
  const width = {
    source: say('checks.should-read'),
    standardUncertainty: fromLimits((highest - lowest) / 2),
  };
  const show = (value: number) => measured(value, profile.measures);
  return ok(
    highest > lowest
      ? {
          measured: measuredValue((lowest + highest) / 2, [...terms, width]),
          band: say('checks.to', { lowest: show(lowest), highest: show(highest) }),
        }
      : { measured: measuredValue(lowest, terms), band: show(lowest) },
  );
}

function againstExpected(
  caseFile: CaseFile,
  said: Message,
  { asSeen, own, assumed, readingIds }: SensorValue,
  should: Stopped,
): Partial<Found> {
  const { profile, family } = caseFile;
  const matters = profile.differenceThatMatters;
  const show = (value: number) => measured(value, profile.measures);
  const seen = compareValues(asSeen, should.measured, matters);
  const shown = say('checks.signal-is', { said, value: boundSaid(asSeen.bound, show(asSeen.value)) });
  const ambient = familyOf(family).openToAir !== undefined && profile.measures === 'absolute-pressure';
  if (seen.outcome === 'cannot-tell' && seen.ofBound) {
    const sentence = say('checks.end-sensor-can-show-should', { shown, band: should.band });
    return { remarks: [{ sentence, readingIds }] };
  }
  if (seen.outcome === 'cannot-tell') {
    return {
      remarks: [
        {
          sentence: say('checks.limited-these-cannot-tell', { shown, limitedBy: seen.limitedBy }),
          readingIds,
        },
      ],
    };
  }
  if (seen.outcome === 'agree' || Math.abs(seen.difference) <= matters) {
    const sentence = say('checks.as-expected', { shown, ambient });
    return { findings: [finding('signal-koeo=as-expected', sentence, readingIds)] };
  }
  const away = say('checks.but', { shown, ambient, band: should.band });
  if (assumed.includes('return')) {
    const sentence = say('checks.return-not-been-measured-yet', { away });
    return { findings: [finding('signal-koeo=shifted-perhaps-by-return', sentence, readingIds)] };
  }
  if (Math.abs(compareValues(own, should.measured, matters).difference) > matters) {
    return { findings: [finding('signal-koeo=shifted', say('checks.shifted', { away }), readingIds)] };
  }
  const sentence = say('checks.taken-against-own-return-sensor', { away });
  return { findings: [finding('signal-koeo=shifted-by-return', sentence, readingIds)] };
}

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
  // An average that stays says nothing of what is sent.
  if (!stopped || !driven || isSent(caseFile.profile)) return {};
  const stuck = Math.abs(stopped.volts - driven.volts) < STUCK_VOLTS;
  const { engine, stimulus } = driven.state;
  const where = stimulus ? stimulusKindSaid(stimulus.kind) : say('checks.at', { engine: engineSaid(engine) });
  const path = say('checks.engine-stopped', {
    stopped: volts(stopped.volts),
    driven: volts(driven.volts),
    where,
  });
  return {
    findings: [
      finding(
        `signal-follows=${stuck ? 'stuck' : 'moves'}`,
        stuck ? say('checks.signal-stays-put', { path }) : say('checks.signal-moves', { path }),
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
    const pair = say('checks.plug-unit', { plug: volts(plug.volts), unit: volts(unit.volts) });
    return {
      findings: [
        finding(
          `signal-unit-vs-plug=${same ? 'same' : 'differs'}`,
          same ? say('checks.signal-arrives', { pair }) : say('checks.signal-does-not-arrive', { pair }),
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
  const said = say('checks.plug-off-signal-wire-goes', { volts: volts(reading.volts) });
  const high = reading.volts > nominalReferenceVolts - RAIL_VOLTS;
  const low = reading.volts < RAIL_VOLTS;
  if (bias === 'unknown' || (!high && !low)) {
    return {
      remarks: [{ sentence: say('checks.level-right-here-not-known', { said }), readingIds: [reading.id] }],
    };
  }
  const atBias = high === (bias === 'pull-up');
  const held = high ? 'held-high' : 'held-low';
  const sentence = atBias
    ? say('checks.bias-level-short-side-would', { said })
    : say('checks.something-wiring-holds-there', { said });
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
    const sentence = say('checks.signal-past-circuit-limit-live');
    return { remarks: [{ sentence, readingIds }] };
  }
  const compared = liveAgainstWire(caseFile, signal, scan);
  if (!compared) return {};
  const { onWire, differs } = compared;
  const { profile } = caseFile;
  const show = (value: number) => measured(value, profile.measures);
  const pair = say('checks.live-data-wire', { live: show(scan.value), wire: show(onWire) });
  return {
    findings: [
      finding(
        `live-vs-plug=${differs ? 'differs' : 'agrees'}`,
        differs ? say('checks.live-data-not-wire', { pair }) : say('checks.live-data-shows-wire', { pair }),
        readingIds,
      ),
    ],
  };
}
