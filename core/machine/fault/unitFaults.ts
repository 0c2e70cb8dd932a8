import { faultSite, type FaultKind } from './faultKind.ts';

const RAIL_PULLED_DOWN: FaultKind = {
  id: 'rail-pulled-down',
  class: 'wire',
  name: 'Another sensor pulls the reference down',
  sentence: 'A neighbour on the same reference is shorted and takes its voltage away from all.',
  looksLike: 'The reference is low at unit and plug; it comes back when the neighbour is unplugged.',
  hides: 'Any other sensor on that reference, and the wires to it.',
  size: { unit: 'Ω', lowest: 0.2, highest: 30, spread: 'decades' },
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

const NO_REFERENCE: FaultKind = {
  id: 'unit-gives-no-reference',
  class: 'control-unit',
  name: 'Control unit gives no proper reference',
  sentence: 'The unit’s own sensor supply is dead or weak, with nothing pulling at it.',
  looksLike:
    'Low at the unit’s pin with every sensor on it unplugged, while the unit itself is fed and grounded.',
  hides: 'Prove the unit’s feeds and grounds first: a unit without supply gives no reference either.',
  size: { unit: 'V', lowest: 0, highest: 4.4, spread: 'even' },
  sites: ({ wiring }) =>
    wiring.rails.map((_, rail) =>
      faultSite({ in: 'rail', rail }, (volts) => [{ on: 'rail', rail, change: { volts } }]),
    ),
};

const GROUND_RAISED: FaultKind = {
  id: 'unit-ground-raised',
  class: 'control-unit',
  name: 'Control unit’s own ground raised',
  sentence: 'The unit’s ground point has a resistance: everything it measures stands on a step.',
  looksLike: 'Reference, return and signal are all raised by the same amount against battery negative.',
  hides: 'Ground eyelets under paint or rust, a shared ground point that carries a pump or a fan.',
  size: { unit: 'Ω', lowest: 0.2, highest: 5, spread: 'decades' },
  sites: () => [
    faultSite({ in: 'unit-ground' }, (ohms) => [{ on: 'part', part: 'unit-ground', addOhms: ohms }]),
  ],
};

const INPUT_OPEN: FaultKind = {
  id: 'unit-pin-open',
  class: 'control-unit',
  name: 'Control unit lost contact to one of its pins',
  sentence: 'Inside the unit a joint to one pin is open.',
  looksLike: 'At that pin the supply is missing; the wire beyond it is sound.',
  hides: 'Cracked solder at the unit’s header, after knocks, heat or water.',
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind === 'rail' || end.kind === 'ground')
      .map(({ wire }) =>
        faultSite({ in: 'wire', wire }, () => [{ on: 'part', part: `${wire}:unit`, addOhms: Infinity }]),
      ),
};

const BIAS_LOST: FaultKind = {
  id: 'unit-bias-lost',
  class: 'control-unit',
  name: 'Control unit lost its bias',
  sentence: 'The resistor that holds the input while nothing drives it is gone.',
  looksLike: 'Unplugged, the wire drifts and a meter shows a ghost voltage instead of 5 V or 0 V.',
  hides: 'The unit’s board; rare, and found only after wire and sensor are proven.',
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

const CONVERTER_STUCK: FaultKind = {
  id: 'unit-does-not-read',
  class: 'control-unit',
  name: 'Control unit does not read its input',
  sentence: 'The voltage is right at the unit’s pin, and live data does not follow it.',
  looksLike: 'A known voltage fed in at the pin moves nothing in live data.',
  hides: 'Prove it with a substituted voltage before a unit is named.',
  size: { unit: 'V', lowest: 0.1, highest: 4.9, spread: 'even' },
  sites: ({ wiring }) =>
    wiring.wires
      .filter(({ end }) => end.kind === 'input')
      .map(({ wire }) => faultSite({ in: 'wire', wire }, (reads) => [{ on: 'converter', wire, reads }])),
};

export const UNIT_FAULTS: readonly FaultKind[] = [
  RAIL_PULLED_DOWN,
  NO_REFERENCE,
  GROUND_RAISED,
  INPUT_OPEN,
  BIAS_LOST,
  CONVERTER_STUCK,
];
