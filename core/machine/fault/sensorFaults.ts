import { say } from '../../measure/message/index.ts';
import type { WiringSpec } from '../wiring/index.ts';
import type { CurveEffect } from './effect.ts';
import { faultSite, type FaultSpec, type FaultSite } from './faultKind.ts';
import type { OtherFoot } from './site.ts';
import type { FaultKindId } from '../kinds/index.ts';

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
const isAnalogueStage = ({ sensor }: WiringSpec): boolean => sensor.kind === 'stage' && !sensor.sends;
const inSensor = (effects: FaultSite['effects']): FaultSite => faultSite({ in: 'element' }, effects);

const STUCK: FaultSpec = {
  class: 'sensor',
  weight: 6,
  name: say('faults.sensor-stuck'),
  sentence: say('faults.sensor-gives-one-voltage-whatever'),
  looksLike: say('faults.plausible-voltage-does-not-move'),
  hides: say('faults.oil-soot-water-port-broken'),
  size: { unit: 'share', lowest: 0.06, highest: 0.94, spread: 'even' },
  beyond: { size: { unit: 'share', lowest: 0.005, highest: 0.995, spread: 'even' } },
  sites: () => [inSensor((share) => [{ on: 'element', does: 'stuck', share }])],
};

const SHIFTED: FaultSpec = {
  class: 'sensor',
  weight: 7,
  name: say('faults.sensor-reads-shifted'),
  sentence: say('faults.sensor-follows-but-stands-off'),
  looksLike: say('faults.moves-should-never-meets-gauge'),
  hides: say('faults.age-heat-part-never-zeroed'),
  size: { unit: 'V', lowest: 0.2, highest: 1.2, spread: 'even' },
  beyond: { size: { unit: 'V', lowest: 0.15, highest: 1.5, spread: 'even' } },
  sites: () => [
    faultSite({ in: 'element', reads: 'up' }, (volts) => [{ on: 'element', does: 'shifted', volts }]),
    faultSite({ in: 'element', reads: 'down' }, (volts) => [
      { on: 'element', does: 'shifted', volts: -volts },
    ]),
  ],
};

const STRETCHED: FaultSpec = {
  class: 'sensor',
  weight: 4,
  name: say('faults.sensor-moves-too-little'),
  sentence: say('faults.sensor-follows-but-less-than'),
  looksLike: say('faults.right-one-point-wrong-every'),
  hides: say('faults.dirty-hot-element-tired-diaphragm'),
  size: { unit: 'factor', lowest: 0.3, highest: 0.85, spread: 'even' },
  beyond: { size: { unit: 'factor', lowest: 0.15, highest: 0.87, spread: 'even' } },
  sites: () => [inSensor((factor) => [{ on: 'element', does: 'stretched', factor }])],
};

const stays = (reads: 'up' | 'down', from: (size: number) => CurveEffect): FaultSite =>
  faultSite({ in: 'element', reads }, (size) => [{ on: 'curve', ...from(size) }]);

const STOPS: FaultSpec = {
  class: 'sensor',
  weight: 0.7,
  name: say('faults.sensor-goes-no-farther'),
  sentence: say('faults.sensor-follows-up-to-a-point'),
  looksLike: say('faults.right-at-one-end-same-voltage-past-a-point'),
  hides: say('faults.blocked-port-or-overloaded-element'),
  sites: () => [],
  beyond: {
    size: { unit: 'share', lowest: 0.08, highest: 0.92, spread: 'even' },
    sites: () => [
      stays('down', (share) => ({ fromShare: share, toShare: Infinity, atShare: share })),
      stays('up', (share) => ({ fromShare: -Infinity, toShare: share, atShare: share })),
    ],
  },
};

/** Of its way: what a sensor that sticks over a part of it leaves out. */
const STICKS_OVER_SHARE = 0.38;
const STICKS: FaultSpec = {
  class: 'sensor',
  weight: 0.4,
  name: say('faults.sensor-sticks-on-its-way'),
  sentence: say('faults.sensor-stays-behind-and-then-jumps'),
  looksLike: say('faults.right-at-both-ends-wrong-between'),
  hides: say('faults.soot-or-wear-where-it-moves'),
  sites: () => [],
  beyond: {
    size: { unit: 'share', lowest: 0.03, highest: 0.59, spread: 'even' },
    sites: () => [
      stays('down', (share) => ({ fromShare: share, toShare: share + STICKS_OVER_SHARE, atShare: share })),
      stays('up', (share) => ({
        fromShare: share,
        toShare: share + STICKS_OVER_SHARE,
        atShare: share + STICKS_OVER_SHARE,
      })),
    ],
  },
};

const WIPER_OPEN: FaultSpec = {
  class: 'sensor',
  weight: 2,
  name: say('faults.wiper-lifted'),
  sentence: say('faults.wiper-track-no-longer-touches'),
  looksLike: say('faults.signal-sits-bias-input-whatever'),
  hides: say('faults.worn-fingers-cracked-arm'),
  sites: ({ wiring }) =>
    tracksOf(wiring).map((number) =>
      onTrack('wiper', number, wiring, () => [{ on: 'part', part: `wiper:${number}`, setOhms: Infinity }]),
    ),
};

const TRACK_OPEN: FaultSpec = {
  class: 'sensor',
  weight: 2,
  name: say('faults.track-broken'),
  sentence: say('faults.resistance-track-cracked-between-wiper'),
  looksLike: say('faults.signal-jumps-supply-return-while'),
  hides: say('faults.spot-where-wiper-rests-most'),
  sites: ({ wiring }) =>
    tracksOf(wiring).flatMap((number) =>
      (['upper', 'lower'] as const).map((half) =>
        onTrack(half, number, wiring, () => [{ on: 'part', part: `${half}:${number}`, setOhms: Infinity }]),
      ),
    ),
};

/** Of the travel: a worn patch is a few per cent wide. */
const DEAD_SPOT_SHARE = 0.03;
const DEAD_SPOT: FaultSpec = {
  class: 'sensor',
  weight: 4,
  name: say('faults.dead-spot-track'),
  sentence: say('faults.one-position-wiper-loses-track'),
  looksLike: say('faults.right-rest-full-travel-only'),
  hides: say('faults.position-idle-cruising-just-off'),
  size: { unit: 'share', lowest: 0.15, highest: 0.8, spread: 'even' },
  sites: ({ wiring }) =>
    tracksOf(wiring).map((number) =>
      onTrack('track', number, wiring, (at) => [
        { on: 'element', does: 'dead-spot', track: number, fromShare: at, toShare: at + DEAD_SPOT_SHARE },
      ]),
    ),
};

const LOST_INSIDE: FaultSpec = {
  class: 'sensor',
  weight: 2,
  name: say('faults.supply-return-lost-inside-housing'),
  sentence: say('faults.behind-sensors-pin-joint-open'),
  looksLike: say('faults.supply-return-right-plug-tracks'),
  hides: say('faults.joint-between-pin-board-cracked'),
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind !== 'input' && end.kind !== 'driver')
      .map(({ wire }) =>
        faultSite({ in: 'joint', wire, joint: 'inside' }, () => [
          { on: 'part', part: `${wire}:inside`, addOhms: Infinity },
        ]),
      ),
};

const OUTPUT_LOST: FaultSpec = {
  class: 'sensor',
  weight: 2,
  name: say('faults.signal-lost-inside-housing'),
  sentence: say('faults.behind-signal-pin-joint-open'),
  looksLike: say('faults.supply-return-right-plug-signal'),
  hides: say('faults.joint-between-pin-board-cracked'),
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind === 'input')
      .map(({ wire }) =>
        faultSite({ in: 'joint', wire, joint: 'inside' }, () => [
          { on: 'part', part: `${wire}:inside`, addOhms: Infinity },
        ]),
      ),
};

const OUTPUT_RESISTANCE: FaultSpec = {
  class: 'sensor',
  weight: 1.5,
  name: say('faults.output-resistance'),
  sentence: say('faults.right-voltage-behind-resistance'),
  looksLike: say('faults.right-by-itself-wrong-with-input'),
  hides: say('faults.worn-wiper-tired-output'),
  sites: () => [],
  beyond: {
    size: { unit: 'Ω', lowest: 500, highest: 10_000_000, spread: 'decades' },
    sites: ({ wiring }) =>
      isStage(wiring)
        ? [
            faultSite({ in: 'joint', wire: 'signal', joint: 'inside' }, (ohms) => [
              { on: 'part', part: 'signal:inside', addOhms: ohms },
            ]),
          ]
        : tracksOf(wiring).map((number) =>
            onTrack('wiper', number, wiring, (ohms) => [
              { on: 'part', part: `wiper:${number}`, addOhms: ohms },
            ]),
          ),
  },
};

const TRACK_END_RESISTANCE: FaultSpec = {
  class: 'sensor',
  weight: 1,
  name: say('faults.track-end-resistance'),
  sentence: say('faults.resistance-between-track-and-pin'),
  looksLike: say('faults.signal-no-longer-reaches-one-end'),
  hides: say('faults.joint-where-track-meets-pin'),
  sites: () => [],
  beyond: {
    size: { unit: 'Ω', lowest: 100, highest: 10_000, spread: 'decades' },
    sites: ({ wiring }) =>
      tracksOf(wiring).flatMap((number) =>
        (['upper', 'lower'] as const).map((half) =>
          onTrack(half, number, wiring, (ohms) => [{ on: 'part', part: `${half}:${number}`, addOhms: ohms }]),
        ),
      ),
  },
};

const LOADS_REFERENCE: FaultSpec = {
  class: 'sensor',
  weight: 1.5,
  name: say('faults.sensor-pulls-reference-down'),
  sentence: say('faults.sensor-shorted-across-supply'),
  looksLike: say('faults.reference-low-while-plugged-comes'),
  hides: say('faults.water-housing-burnt-chip'),
  size: { unit: 'Ω', lowest: 0.5, highest: 30, spread: 'decades' },
  beyond: { size: { unit: 'Ω', lowest: 0.05, highest: 60, spread: 'decades' } },
  sites: ({ wiring }) =>
    isStage(wiring) ? [inSensor((ohms) => [{ on: 'part', part: 'supply', setOhms: ohms }])] : [],
};

const THERMISTOR_OPEN: FaultSpec = {
  class: 'sensor',
  weight: 1,
  name: say('faults.temperature-element-open'),
  sentence: say('faults.thermistor-same-body-open'),
  looksLike: say('faults.temperature-signal-sits-5-v'),
  hides: say('faults.broken-leg-bead-hangs-air'),
  sites: ({ wiring }) =>
    wiring.thermistor
      ? [faultSite({ in: 'thermistor' }, () => [{ on: 'part', part: 'thermistor', setOhms: Infinity }])]
      : [],
};

const otherCurve = (
  reads: 'up' | 'down',
  foot: OtherFoot | undefined,
  curve: (size: number) => { factor: number; volts: number },
): FaultSite =>
  faultSite({ in: 'element', reads, ...(foot && { foot }) }, (size) => [
    { on: 'element', does: 'other-curve', ...curve(size) },
  ]);
/** How far the foot of another variant is off that is as steep, in volts a share that its slope would be off (from 0.2 to 0.8 V). */
const MOVED_VOLTS = 1.2;

const OTHER_CURVE: FaultSpec = {
  class: 'wrong-part',
  weight: 2,
  name: say('faults.wrong-part-fitted'),
  sentence: say('faults.sensor-sound-but-another-variant'),
  looksLike: say('faults.steady-plausible-follows-everything-wrong'),
  hides: say('faults.parts-look-alike-figures-internet'),
  size: { unit: 'factor', lowest: 0.4, highest: 0.75, spread: 'even' },
  beyond: {
    size: { unit: 'factor', lowest: 0.35, highest: 0.85, spread: 'even' },
    sites: ({ wiring }) =>
      isStage(wiring)
        ? [
            otherCurve('down', undefined, (factor) => ({ factor, volts: -0.15 })),
            otherCurve('down', 'lower', (factor) => ({ factor, volts: -0.4 })),
            otherCurve('down', 'higher', (factor) => ({ factor, volts: 0.5 })),
            // Another variant is steeper by as much as another is flatter.
            otherCurve('up', undefined, (factor) => ({ factor: 1 / factor, volts: 0.05 })),
            otherCurve('up', 'lower', (factor) => ({ factor: 1 / factor, volts: -0.35 })),
            otherCurve('up', 'higher', (factor) => ({ factor: 1 / factor, volts: 0.45 })),
            // Or as steep, from another foot: 1.0 V where 0.5 V is expected.
            otherCurve('up', 'moved', (factor) => ({ factor: 1, volts: MOVED_VOLTS * (1 - factor) })),
            otherCurve('down', 'moved', (factor) => ({ factor: 1, volts: -MOVED_VOLTS * (1 - factor) })),
          ]
        : [],
  },
  sites: ({ wiring }) =>
    isStage(wiring)
      ? [inSensor((factor) => [{ on: 'element', does: 'other-curve', factor, volts: 0.25 }])]
      : [],
};

const DIGITAL: FaultSpec = {
  class: 'wrong-part',
  weight: 1,
  name: say('faults.digital-part-analogue-circuit'),
  sentence: say('faults.part-sends-telegrams-line-instead'),
  looksLike: say('faults.meter-shows-steady-middle-voltage'),
  hides: say('faults.parts-look-alike-but-letter'),
  size: { unit: 'share', lowest: 0.35, highest: 0.7, spread: 'even' },
  sites: ({ wiring }) =>
    isAnalogueStage(wiring) ? [inSensor((highShare) => [{ on: 'element', does: 'digital', highShare }])] : [],
};

const OTHER_OUTPUT: FaultSpec = {
  class: 'wrong-part',
  weight: 1,
  name: say('faults.part-of-another-output'),
  sentence: say('faults.part-says-its-value-in-another-way'),
  looksLike: say('faults.no-value-arrives-and-all-wires-are-right'),
  hides: say('faults.parts-look-alike-but-letter'),
  sites: ({ wiring: { sensor } }) =>
    sensor.kind === 'stage' && sensor.sends
      ? [inSensor(() => [{ on: 'element', does: 'other-output' }])]
      : [],
};

export const SENSOR_FAULTS = {
  'sensor-stuck': STUCK,
  'sensor-shifted': SHIFTED,
  'sensor-gain': STRETCHED,
  'sensor-stops': STOPS,
  'sensor-sticks': STICKS,
  'wiper-open': WIPER_OPEN,
  'track-open': TRACK_OPEN,
  'dead-spot': DEAD_SPOT,
  'feed-lost-inside': LOST_INSIDE,
  'output-lost-inside': OUTPUT_LOST,
  'output-resistance': OUTPUT_RESISTANCE,
  'track-end-resistance': TRACK_END_RESISTANCE,
  'sensor-loads-reference': LOADS_REFERENCE,
  'thermistor-open': THERMISTOR_OPEN,
  'wrong-part': OTHER_CURVE,
  'digital-part': DIGITAL,
  'other-output': OTHER_OUTPUT,
} satisfies Partial<Record<FaultKindId, FaultSpec>>;
