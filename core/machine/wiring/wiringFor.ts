import type { Companion } from '../../measure/companion/index.ts';
import type { Lane } from '../places/index.ts';
import { isTrack } from './driveFor.ts';
import { isSent, sentIn, type Bias, type SensorProfile } from '../../measure/transfer/index.ts';
import type { SensorModel, UnitEnd, WireSpec, WiringSpec } from './wiringSpec.ts';

/** What decides how a body is wired: what it measures, what else is in it, and the wires of its plug. */
export interface WiredSensor {
  profile: SensorProfile;
  companion?: Companion | undefined;
  wires: readonly Lane[];
}

/** Usual values (common practice): where the maker gives others, they go into the specification. */
const SUPPLY = { volts: 5, ohms: 0.3, limitAmps: 0.15 };
const PULL_UP_OHMS = 220_000;
const PULL_DOWN_OHMS = 470_000;
const STAGE = { supplyOhms: 714, outputOhms: 100, lowestShare: 0.02, highestShare: 0.98 };
/** A heated element takes its current from the battery. */
const HEATED_OHMS = 60;
/** Of 12 V: the output ends at about 5 V. */
const HEATED_HIGHEST_SHARE = 0.42;
const TRACK = { trackOhms: 4000, wiperOhms: 300 };
const NEIGHBOUR_OHMS = 1200;

/** The usual control unit and harness around a sensor, sound. */
export function wiringFor(sensor: WiredSensor): WiringSpec {
  const { profile, companion, wires } = sensor;
  const own = { ...SUPPLY, volts: profile.nominalReferenceVolts };
  return {
    wires: wires.map((wire): WireSpec => ({ wire, end: unitEnd(wire, profile.bias, companion) })),
    rails: [
      { ...own, neighbourOhms: [NEIGHBOUR_OHMS] },
      ...(wires.includes('second-reference') ? [{ ...own, neighbourOhms: [] }] : []),
    ],
    sensor: sensorModel(sensor),
    thermistor: companion?.kind === 'temperature' && wires.includes('second-signal'),
    segmentOhms: 0.08,
    batteryVolts: 12.6,
    unitVolts: profile.nominalReferenceVolts,
  };
}

function unitEnd(wire: Lane, bias: Bias, companion: Companion | undefined): UnitEnd {
  switch (wire) {
    case 'reference':
      return { kind: 'rail', rail: 0 };
    case 'second-reference':
      return { kind: 'rail', rail: 1 };
    case 'return':
    case 'second-return':
      return { kind: 'ground' };
    case 'battery-feed':
      return { kind: 'battery' };
    case 'motor-plus':
    case 'motor-minus':
      return { kind: 'driver' };
    case 'signal':
      return biased(bias);
    case 'second-signal':
      return companion?.kind === 'temperature'
        ? { kind: 'input', pullUpOhms: companion.pullUpOhms, pullDownOhms: Infinity }
        : biased(bias);
  }
}

/** Where the bias is not known the input is taken as pulled down, which most are. */
const biased = (bias: Bias): UnitEnd =>
  bias === 'pull-up'
    ? { kind: 'input', pullUpOhms: PULL_UP_OHMS, pullDownOhms: Infinity }
    : { kind: 'input', pullUpOhms: Infinity, pullDownOhms: PULL_DOWN_OHMS };

function sensorModel({ profile, companion, wires }: WiredSensor): SensorModel {
  if (companion?.kind === 'second-track') return { kind: 'two-tracks', ...TRACK };
  const sent = sentIn(profile);
  const sends = sent ? { sends: sent } : {};
  // What sends its position has electronics, and no track.
  if (isTrack({ profile, companion }) && !isSent(profile)) return { kind: 'track', ...TRACK };
  return wires.includes('battery-feed')
    ? {
        kind: 'stage',
        feed: 'battery-feed',
        ...STAGE,
        supplyOhms: HEATED_OHMS,
        lowestShare: 0,
        highestShare: HEATED_HIGHEST_SHARE,
        ...sends,
      }
    : { kind: 'stage', feed: 'reference', ...STAGE, ...sends };
}
