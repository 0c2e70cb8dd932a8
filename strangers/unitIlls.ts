import type { IllMaker } from './ill.ts';
import { OPEN_OHMS } from './nodalCircuit.ts';
import type { StrangeSensor } from './strangeSensor.ts';

const signals = ({ wires }: StrangeSensor) =>
  wires.filter((wire) => wire === 'signal' || wire === 'second-signal');
const supplied = ({ wires }: StrangeSensor) =>
  wires.filter((wire) => !['signal', 'second-signal'].includes(wire));

export const neighbourLoads: IllMaker = (draw, { wires }) =>
  wires.includes('reference')
    ? {
        name: 'another sensor loads the supply',
        class: 'wire',
        isAt: ({ of }) => of === 'rail-pulled-down',
        neighbour: { supply: 0, ohms: draw.decades(0.3, 40) },
      }
    : undefined;

export const supplyWrong: IllMaker = (draw, { wires }) => {
  const number = wires.includes('second-reference') ? draw.of([0, 1]) : 0;
  return wires.includes('reference')
    ? {
        name: `supply ${number} wrong`,
        class: 'control-unit',
        isAt: (cause) => cause.of === 'unit-gives-no-reference' && cause.rail === number,
        supply: {
          number,
          volts: draw.weighted([
            [4, draw.between(0, 4.75)],
            [1, draw.between(5.3, 6.5)],
          ]),
        },
      }
    : undefined;
};

export const boardOpen: IllMaker = (draw, sensor) => {
  const wire = draw.of(supplied(sensor).filter((one) => one !== 'battery-feed'));
  const supply = wire === 'reference' ? 0 : wire === 'second-reference' ? 1 : undefined;
  return {
    name: `unit pin ${wire} open`,
    class: 'control-unit',
    isAt: (cause) =>
      supply === undefined
        ? cause.of === 'unit-pin-open' && cause.wire === wire
        : cause.of === 'unit-gives-no-reference' && cause.rail === supply,
    addedOhms: { [`${wire}:board`]: OPEN_OHMS },
  };
};

export const groundRaised: IllMaker = (draw) => ({
  name: 'unit ground raised',
  class: 'control-unit',
  isAt: ({ of }) => of === 'unit-ground-raised',
  unitGroundOhms: draw.decades(0.25, 4),
});

export const doesNotRead: IllMaker = (draw, sensor) => {
  const wire = draw.of(signals(sensor));
  return {
    name: `unit does not read ${wire}`,
    class: 'control-unit',
    isAt: (cause) => cause.of === 'unit-does-not-read' && cause.wire === wire,
    readsAlways: { wire, volts: draw.between(0, 5) },
  };
};
