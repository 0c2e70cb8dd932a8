import { say } from '../../measure/message/index.ts';
import type { Effect } from './effect.ts';
import { faultSite, type FaultSpec } from './faultKind.ts';
import type { FaultKindId } from '../kinds/index.ts';

/** Of a fault that is practised in one size: open. */
const UNSIZED = 0;

const RAIL_PULLED_DOWN: FaultSpec = {
  class: 'wire',
  weight: 4,
  name: say('faults.another-sensor-pulls-reference-down'),
  sentence: say('faults.neighbour-same-reference-shorted-takes'),
  looksLike: say('faults.reference-low-unit-plug-comes'),
  hides: say('faults.any-other-sensor-reference-wires'),
  size: { unit: 'Ω', lowest: 0.2, highest: 30, spread: 'decades' },
  beyond: { size: { unit: 'Ω', lowest: 0.05, highest: 60, spread: 'decades' } },
  sites: ({ wiring }) => {
    let number = 0;
    return wiring.rails.flatMap(({ neighbourOhms }, rail) =>
      neighbourOhms.map(() => {
        const neighbour = number++;
        return faultSite({ in: 'neighbour', neighbour, rail }, (ohms) => [
          { on: 'part', part: `neighbour:${neighbour}`, setOhms: ohms },
        ]);
      }),
    );
  },
};

const NO_REFERENCE: FaultSpec = {
  class: 'control-unit',
  weight: 2,
  name: say('faults.control-unit-gives-no-proper'),
  sentence: say('faults.units-own-sensor-supply-dead'),
  looksLike: say('faults.low-units-pin-every-sensor'),
  hides: say('faults.prove-units-feeds-grounds-first'),
  size: { unit: 'V', lowest: 0, highest: 4.4, spread: 'even' },
  beyond: { size: { unit: 'V', lowest: 0, highest: 9, spread: 'even' } },
  sites: ({ wiring }) =>
    wiring.rails.map((_, rail) =>
      faultSite({ in: 'rail', rail }, (volts) => [{ on: 'rail', rail, change: { volts } }]),
    ),
};

const GROUND_RAISED: FaultSpec = {
  class: 'control-unit',
  weight: 3,
  name: say('faults.control-units-own-ground-raised'),
  sentence: say('faults.units-ground-point-resistance-everything'),
  looksLike: say('faults.reference-return-signal-all-raised'),
  hides: say('faults.ground-eyelets-under-paint-rust'),
  size: { unit: 'Ω', lowest: 0.2, highest: 5, spread: 'decades' },
  sites: () => [
    faultSite({ in: 'unit-ground' }, (ohms) => [{ on: 'part', part: 'unit-ground', addOhms: ohms }]),
  ],
};

const INPUT_OPEN: FaultSpec = {
  class: 'control-unit',
  weight: 2,
  name: say('faults.control-unit-lost-contact-one'),
  sentence: say('faults.inside-unit-joint-one-pin'),
  looksLike: say('faults.pin-supply-missing-wire-beyond'),
  hides: say('faults.cracked-solder-units-header-after'),
  beyond: { size: { unit: 'Ω', lowest: 10, highest: 1e10, spread: 'decades' } },
  sites: ({ wiring }) =>
    wiring.wires.flatMap(({ wire, end }) => {
      const open = (ohms: number): Effect[] => [{ on: 'part', part: `${wire}:unit`, addOhms: ohms }];
      if (end.kind === 'rail')
        return [{ ...faultSite({ in: 'wire', wire }, () => open(Infinity)), isOneSize: true }];
      if (end.kind !== 'ground') return [];
      // Where an open return floats hangs on the maker's parts around it: a joint that still conducts leaves any of it.
      return [faultSite({ in: 'wire', wire }, (ohms) => open(ohms === UNSIZED ? Infinity : ohms))];
    }),
};

const BIAS_LOST: FaultSpec = {
  class: 'control-unit',
  weight: 1,
  name: say('faults.control-unit-lost-bias'),
  sentence: say('faults.resistor-holds-input-while-nothing'),
  looksLike: say('faults.unplugged-wire-drifts-meter-shows'),
  hides: say('faults.units-board-rare-found-only'),
  sites: ({ wiring }) =>
    wiring.wires.flatMap(({ wire, end }) =>
      end.kind !== 'input'
        ? []
        : (
            [
              [end.pullUpOhms, 'pull-up'],
              [end.pullDownOhms, 'pull-down'],
            ] as const
          ).flatMap(([ohms, pull]) =>
            ohms === Infinity
              ? []
              : [
                  faultSite({ in: 'bias', wire, pull }, () => [
                    { on: 'part', part: `${pull}:${wire}`, setOhms: Infinity },
                  ]),
                ],
          ),
    ),
};

const CONVERTER_STUCK: FaultSpec = {
  class: 'control-unit',
  weight: 1.5,
  name: say('faults.control-unit-does-not-read'),
  sentence: say('faults.voltage-right-units-pin-live'),
  looksLike: say('faults.known-voltage-fed-pin-moves'),
  hides: say('faults.prove-substituted-voltage-before-unit'),
  size: { unit: 'V', lowest: 0.1, highest: 4.9, spread: 'even' },
  beyond: { size: { unit: 'V', lowest: 0, highest: 5, spread: 'even' } },
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind === 'input')
      .map(({ wire }) => faultSite({ in: 'wire', wire }, (reads) => [{ on: 'converter', wire, reads }])),
};

export const UNIT_FAULTS = {
  'rail-pulled-down': RAIL_PULLED_DOWN,
  'unit-gives-no-reference': NO_REFERENCE,
  'unit-ground-raised': GROUND_RAISED,
  'unit-pin-open': INPUT_OPEN,
  'unit-bias-lost': BIAS_LOST,
  'unit-does-not-read': CONVERTER_STUCK,
} satisfies Partial<Record<FaultKindId, FaultSpec>>;
