import type { WiringSpec } from '../wiring/index.ts';
import { faultSite, type FaultKind, type FaultSite } from './faultKind.ts';

const tracksOf = ({ sensor }: WiringSpec): (1 | 2)[] =>
  sensor.kind === 'two-tracks' ? [1, 2] : sensor.kind === 'track' ? [1] : [];
type TrackPart = 'track' | 'wiper' | 'upper' | 'lower';
const onTrack = (
  part: TrackPart,
  track: 1 | 2,
  { sensor }: WiringSpec,
  effects: FaultSite['effects'],
): FaultSite =>
  faultSite({ in: 'track', part, track, tracks: sensor.kind === 'two-tracks' ? 2 : 1 }, effects);
const isStage = ({ sensor }: WiringSpec): boolean => sensor.kind === 'stage';
const inSensor = (effects: FaultSite['effects']): FaultSite => faultSite({ in: 'element' }, effects);

const STUCK: FaultKind = {
  id: 'sensor-stuck',
  class: 'sensor',
  name: 'Sensor stuck',
  sentence: 'The sensor gives one voltage whatever it is exposed to.',
  looksLike: 'A plausible voltage that does not move when the quantity does.',
  hides: 'Oil, soot or water in the port; a broken cell behind it.',
  size: { unit: 'share', lowest: 0.06, highest: 0.94, spread: 'even' },
  sites: () => [inSensor((share) => [{ on: 'element', does: 'stuck', share }])],
};

const SHIFTED: FaultKind = {
  id: 'sensor-shifted',
  class: 'sensor',
  name: 'Sensor reads shifted',
  sentence: 'The sensor follows, but stands off by the same voltage everywhere.',
  looksLike: 'Moves as it should and never meets the gauge.',
  hides: 'Age, heat, a part that was never zeroed.',
  size: { unit: 'V', lowest: 0.2, highest: 1.2, spread: 'even' },
  sites: () => [
    faultSite({ in: 'element', reads: 'up' }, (volts) => [{ on: 'element', does: 'shifted', volts }]),
    faultSite({ in: 'element', reads: 'down' }, (volts) => [
      { on: 'element', does: 'shifted', volts: -volts },
    ]),
  ],
};

const STRETCHED: FaultKind = {
  id: 'sensor-gain',
  class: 'sensor',
  name: 'Sensor moves too little',
  sentence: 'The sensor follows, but by less than its curve says.',
  looksLike: 'Right at one point and wrong at every other.',
  hides: 'A dirty hot element, a tired diaphragm, a port half closed by soot.',
  size: { unit: 'factor', lowest: 0.3, highest: 0.85, spread: 'even' },
  sites: () => [inSensor((factor) => [{ on: 'element', does: 'stretched', factor }])],
};

const WIPER_OPEN: FaultKind = {
  id: 'wiper-open',
  class: 'sensor',
  name: 'Wiper lifted',
  sentence: 'The wiper of a track no longer touches it anywhere.',
  looksLike: 'The signal sits at the bias of the input, whatever the position.',
  hides: 'Worn fingers, a cracked arm.',
  sites: ({ wiring }) =>
    tracksOf(wiring).map((number) =>
      onTrack('wiper', number, wiring, () => [{ on: 'part', part: `wiper:${number}`, setOhms: Infinity }]),
    ),
};

const TRACK_OPEN: FaultKind = {
  id: 'track-open',
  class: 'sensor',
  name: 'Track broken',
  sentence: 'The resistance track is cracked between the wiper and one of its ends.',
  looksLike: 'The signal jumps to the supply or to the return while the wiper is past the crack.',
  hides: 'The spot where the wiper rests most of its life.',
  sites: ({ wiring }) =>
    tracksOf(wiring).flatMap((number) =>
      (['upper', 'lower'] as const).map((half) =>
        onTrack(half, number, wiring, () => [{ on: 'part', part: `${half}:${number}`, setOhms: Infinity }]),
      ),
    ),
};

/** Of the travel: a worn patch is a few per cent wide. */
const DEAD_SPOT_SHARE = 0.03;
const DEAD_SPOT: FaultKind = {
  id: 'dead-spot',
  class: 'sensor',
  name: 'Dead spot in a track',
  sentence: 'At one position the wiper loses its track.',
  looksLike: 'Right at rest and at full travel; only a slow sweep shows the dropout between.',
  hides: 'The position of idle, of cruising, or just off rest.',
  size: { unit: 'share', lowest: 0.15, highest: 0.8, spread: 'even' },
  sites: ({ wiring }) =>
    tracksOf(wiring).map((number) =>
      onTrack('track', number, wiring, (at) => [
        { on: 'element', does: 'dead-spot', track: number, fromShare: at, toShare: at + DEAD_SPOT_SHARE },
      ]),
    ),
};

const LOST_INSIDE: FaultKind = {
  id: 'feed-lost-inside',
  class: 'sensor',
  name: 'Supply or return lost inside the housing',
  sentence: 'Behind the sensor’s pin a joint is open: the plug has everything, the element has not.',
  looksLike: 'Supply and return are right at the plug. Tracks that share the lost joint die together.',
  hides: 'The joint between pin and board, cracked by a pull at the plug.',
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind !== 'input' && end.kind !== 'driver')
      .map(({ wire }) =>
        faultSite({ in: 'joint', wire, joint: 'inside' }, () => [
          { on: 'part', part: `${wire}:inside`, addOhms: Infinity },
        ]),
      ),
};

const OUTPUT_LOST: FaultKind = {
  id: 'output-lost-inside',
  class: 'sensor',
  name: 'Signal lost inside the housing',
  sentence: 'Behind the signal pin the joint is open: the sensor works and nobody hears it.',
  looksLike: 'Supply and return are right at the plug; the signal sits at the bias level, plugged or not.',
  hides: 'The joint between pin and board, cracked by a pull at the plug.',
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind === 'input')
      .map(({ wire }) =>
        faultSite({ in: 'joint', wire, joint: 'inside' }, () => [
          { on: 'part', part: `${wire}:inside`, addOhms: Infinity },
        ]),
      ),
};

const LOADS_REFERENCE: FaultKind = {
  id: 'sensor-loads-reference',
  class: 'sensor',
  name: 'Sensor pulls the reference down',
  sentence: 'The sensor is shorted across its supply.',
  looksLike: 'The reference is low while it is plugged in and comes back when it is unplugged.',
  hides: 'Water in the housing, a burnt chip.',
  size: { unit: 'Ω', lowest: 0.5, highest: 30, spread: 'decades' },
  sites: ({ wiring }) =>
    isStage(wiring) ? [inSensor((ohms) => [{ on: 'part', part: 'supply', setOhms: ohms }])] : [],
};

const THERMISTOR_OPEN: FaultKind = {
  id: 'thermistor-open',
  class: 'sensor',
  name: 'Temperature element open',
  sentence: 'The thermistor in the same body is open.',
  looksLike: 'The temperature signal sits at 5 V, as it does with the plug off.',
  hides: 'A broken leg of the bead that hangs in the air flow.',
  sites: ({ wiring }) =>
    wiring.thermistor
      ? [faultSite({ in: 'thermistor' }, () => [{ on: 'part', part: 'thermistor', setOhms: Infinity }])]
      : [],
};

const OTHER_CURVE: FaultKind = {
  id: 'wrong-part',
  class: 'wrong-part',
  name: 'Wrong part fitted',
  sentence: 'The sensor is sound, but of another variant than this circuit is made for.',
  looksLike:
    'Steady, plausible, follows everything, and is wrong nearly everywhere. Compare the part numbers.',
  hides: 'Parts that look alike; figures from the internet for another variant.',
  size: { unit: 'factor', lowest: 0.4, highest: 0.75, spread: 'even' },
  sites: ({ wiring }) =>
    isStage(wiring)
      ? [inSensor((factor) => [{ on: 'element', does: 'other-curve', factor, volts: 0.25 }])]
      : [],
};

const DIGITAL: FaultKind = {
  id: 'digital-part',
  class: 'wrong-part',
  name: 'Digital part on an analogue circuit',
  sentence: 'The part sends telegrams on its line instead of a voltage.',
  looksLike:
    'A meter shows a steady middle voltage that hardly moves; a known voltage fed in sets another code.',
  hides: 'Parts that look alike but for a letter in the number.',
  size: { unit: 'share', lowest: 0.35, highest: 0.7, spread: 'even' },
  sites: ({ wiring }) =>
    isStage(wiring) ? [inSensor((highShare) => [{ on: 'element', does: 'digital', highShare }])] : [],
};

export const SENSOR_FAULTS: readonly FaultKind[] = [
  STUCK,
  SHIFTED,
  STRETCHED,
  WIPER_OPEN,
  TRACK_OPEN,
  DEAD_SPOT,
  LOST_INSIDE,
  OUTPUT_LOST,
  LOADS_REFERENCE,
  THERMISTOR_OPEN,
  OTHER_CURVE,
  DIGITAL,
];
