import { say } from '../../measure/message/index.ts';
import { isMotor } from '../places/index.ts';
import { faultSite, type FaultSpec } from './faultKind.ts';
import type { FaultKindId } from '../kinds/index.ts';
import { LOOM_HIDES, jointSites, wiresOf } from './loom.ts';

const OPEN: FaultSpec = {
  class: 'wire',
  weight: 18,
  name: say('faults.wire-open'),
  sentence: say('faults.wire-interrupted-one-side-break'),
  looksLike: say('faults.right-last-point-before-break'),
  hides: LOOM_HIDES,
  sites: ({ wiring }) => jointSites(wiring, () => Infinity),
};

const HIGH_RESISTANCE: FaultSpec = {
  class: 'wire',
  weight: 14,
  name: say('faults.high-resistance-wire'),
  sentence: say('faults.wire-contact-still-conducts-but'),
  looksLike: say('faults.continuity-beeps-unloaded-voltage-right'),
  hides: say('faults.green-contacts-crimp-few-strands'),
  size: { unit: 'Ω', lowest: 2, highest: 5000, spread: 'decades' },
  beyond: { size: { unit: 'Ω', lowest: 2, highest: 100_000, spread: 'decades' } },
  sites: ({ wiring }) => jointSites(wiring, (ohms) => ohms),
};

const TO_GROUND: FaultSpec = {
  class: 'wire',
  weight: 6,
  name: say('faults.wire-touches-ground'),
  sentence: say('faults.wire-rubbed-through-metal-ground'),
  looksLike: say('faults.wire-sits-near-0-v'),
  hides: say('faults.brackets-sharp-edges-clamps-behind'),
  size: { unit: 'Ω', lowest: 0.05, highest: 200, spread: 'decades' },
  beyond: { size: { unit: 'Ω', lowest: 0.05, highest: 20_000, spread: 'decades' } },
  sites: ({ wiring }) =>
    wiresOf(wiring)
      .filter((wire) => wire !== 'return' && wire !== 'second-return')
      .map((wire) =>
        faultSite({ in: 'wire', wire }, (ohms) => [
          { on: 'touch', a: { wire, point: 'connector' }, b: 'chassis', ohms },
        ]),
      ),
};

const TO_BATTERY: FaultSpec = {
  class: 'wire',
  weight: 2,
  name: say('faults.wire-touches-battery-feed'),
  sentence: say('faults.wire-touches-one-carries-battery'),
  looksLike: say('faults.more-than-5-v-wire'),
  hides: say('faults.chafed-looms-beside-lamp-relay'),
  size: { unit: 'Ω', lowest: 0.05, highest: 200, spread: 'decades' },
  beyond: { size: { unit: 'Ω', lowest: 0.05, highest: 20_000, spread: 'decades' } },
  sites: ({ wiring }) =>
    wiresOf(wiring)
      .filter((wire) => wire !== 'battery-feed' && !isMotor(wire))
      .map((wire) =>
        faultSite({ in: 'wire', wire }, (ohms) => [
          { on: 'touch', a: { wire, point: 'connector' }, b: 'battery-positive', ohms },
        ]),
      ),
};

const TO_NEIGHBOUR: FaultSpec = {
  class: 'wire',
  weight: 5,
  name: say('faults.two-wires-touch-each-other'),
  sentence: say('faults.two-wires-same-loom-touch'),
  looksLike: say('faults.both-carry-one-voltage-signal'),
  hides: say('faults.crushed-melted-looms-water-plug'),
  size: { unit: 'Ω', lowest: 0.05, highest: 200, spread: 'decades' },
  beyond: { size: { unit: 'Ω', lowest: 0.05, highest: 20_000, spread: 'decades' } },
  sites: ({ wiring }) => {
    const wires = wiresOf(wiring);
    return wires.flatMap((wire, i) =>
      wires
        .slice(i + 1)
        .map((other) =>
          faultSite({ in: 'wires', wires: [wire, other] }, (ohms) => [
            { on: 'touch', a: { wire, point: 'connector' }, b: { wire: other, point: 'connector' }, ohms },
          ]),
        ),
    );
  },
};

const CUT_TOGETHER: FaultSpec = {
  class: 'wire',
  weight: 2,
  name: say('faults.two-wires-open-one-place'),
  sentence: say('faults.two-wires-interrupted-where-loom'),
  looksLike: say('faults.first-repair-brings-half-back'),
  hides: LOOM_HIDES,
  sites: ({ wiring }) => {
    const wires = wiresOf(wiring).filter((wire) => !isMotor(wire));
    return (['first', 'second'] as const).flatMap((joint) =>
      wires.flatMap((wire, i) =>
        wires.slice(i + 1).map((other) =>
          faultSite({ in: 'joints', wires: [wire, other], joint }, () => [
            { on: 'part', part: `${wire}:${joint}`, addOhms: Infinity },
            { on: 'part', part: `${other}:${joint}`, addOhms: Infinity },
          ]),
        ),
      ),
    );
  },
};

export const WIRE_FAULTS = {
  'wire-open': OPEN,
  'wire-high-resistance': HIGH_RESISTANCE,
  'wire-to-ground': TO_GROUND,
  'wire-to-battery': TO_BATTERY,
  'wires-together': TO_NEIGHBOUR,
  'two-wires-open': CUT_TOGETHER,
} satisfies Partial<Record<FaultKindId, FaultSpec>>;
