import { isMotor, type Lane } from '../places/index.ts';
import type { Joint, WiringSpec } from '../wiring/index.ts';
import { faultSite, type FaultKind, type FaultSite } from './faultKind.ts';
import { LOOM_HIDES } from './wireWords.ts';

const HARNESS: readonly Joint[] = ['first', 'second', 'plug'];

const wiresOf = ({ wires }: WiringSpec): Lane[] => wires.map(({ wire }) => wire);

const jointSites = (wiring: WiringSpec, ohmsOf: (size: number) => number): FaultSite[] =>
  wiresOf(wiring).flatMap((wire) =>
    HARNESS.map((joint) =>
      faultSite({ in: 'joint', wire, joint }, (size) => [
        { on: 'part', part: `${wire}:${joint}`, addOhms: ohmsOf(size) },
      ]),
    ),
  );

const OPEN: FaultKind = {
  id: 'wire-open',
  class: 'wire',
  name: 'Wire open',
  sentence: 'A wire is interrupted: what is on one side of the break is missing on the other.',
  looksLike:
    'Right at the last point before the break, gone or at the bias level at the first one behind it.',
  hides: LOOM_HIDES,
  sites: ({ wiring }) => jointSites(wiring, () => Infinity),
};

const HIGH_RESISTANCE: FaultKind = {
  id: 'wire-high-resistance',
  class: 'wire',
  name: 'High resistance in a wire',
  sentence: 'A wire or contact still conducts, but drops voltage under load.',
  looksLike: 'Continuity beeps and the unloaded voltage is right; with the plug connected there is a drop.',
  hides: 'Green contacts, a crimp with a few strands left, a spread terminal, a splice that drew water.',
  size: { unit: 'Ω', lowest: 2, highest: 5000, spread: 'decades' },
  sites: ({ wiring }) => jointSites(wiring, (ohms) => ohms),
};

const TO_GROUND: FaultKind = {
  id: 'wire-to-ground',
  class: 'wire',
  name: 'Wire touches ground',
  sentence: 'A wire has rubbed through on metal at ground.',
  looksLike: 'The wire sits near 0 V plugged or not; a reference at 0 V takes every sensor on it along.',
  hides: 'Brackets, sharp edges, clamps, behind the engine where the loom moves.',
  size: { unit: 'Ω', lowest: 0.05, highest: 200, spread: 'decades' },
  sites: ({ wiring }) =>
    wiresOf(wiring)
      .filter((wire) => wire !== 'return' && wire !== 'second-return')
      .map((wire) =>
        faultSite({ in: 'wire', wire }, (ohms) => [
          { on: 'touch', a: { wire, point: 'connector' }, b: 'chassis', ohms },
        ]),
      ),
};

const TO_BATTERY: FaultKind = {
  id: 'wire-to-battery',
  class: 'wire',
  name: 'Wire touches a battery feed',
  sentence: 'A wire touches one that carries battery voltage.',
  looksLike: 'More than 5 V on a wire of the 5 V side, plugged or not.',
  hides: 'Chafed looms beside lamp, relay or heater wires; a repair with the wrong wire.',
  size: { unit: 'Ω', lowest: 0.05, highest: 200, spread: 'decades' },
  sites: ({ wiring }) =>
    wiresOf(wiring)
      .filter((wire) => wire !== 'battery-feed' && !isMotor(wire))
      .map((wire) =>
        faultSite({ in: 'wire', wire }, (ohms) => [
          { on: 'touch', a: { wire, point: 'connector' }, b: 'battery-positive', ohms },
        ]),
      ),
};

const TO_NEIGHBOUR: FaultKind = {
  id: 'wires-together',
  class: 'wire',
  name: 'Two wires touch each other',
  sentence: 'Two wires of the same loom touch.',
  looksLike: 'Both carry one voltage. A signal that touches the reference sits at it, plugged or not.',
  hides: 'Crushed or melted looms, water in a plug, a pin bent over.',
  size: { unit: 'Ω', lowest: 0.05, highest: 200, spread: 'decades' },
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

const CUT_TOGETHER: FaultKind = {
  id: 'two-wires-open',
  class: 'wire',
  name: 'Two wires open in one place',
  sentence: 'Two wires are interrupted where the loom was damaged: one-fault logic misses it.',
  looksLike: 'The first repair brings half of it back; the other half still behaves like an open wire.',
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

export const WIRE_FAULTS: readonly FaultKind[] = [
  OPEN,
  HIGH_RESISTANCE,
  TO_GROUND,
  TO_BATTERY,
  TO_NEIGHBOUR,
  CUT_TOGETHER,
];
