import type { Cause } from '@lettura/core/judge/weighing';
import type { Lane } from '@lettura/core/machine/places';
import type { Ill, IllMaker, IllsByWeight, Stretch } from './ill.ts';
import { OPEN_OHMS } from './nodalCircuit.ts';
import { neighbourLoads, supplyWrong, boardOpen, groundRaised, doesNotRead } from './unitIlls.ts';

const isReturn = (wire: Lane) => wire === 'return' || wire === 'second-return';
const joint = (stretch: Stretch) => (stretch === 'contact' ? 'plug' : stretch);
const open: IllMaker = (draw, { wires }) => {
  const wire = draw.of(wires);
  const stretch = draw.of(['first', 'second', 'contact'] as const);
  return brokenWire(wire, stretch, OPEN_OHMS, 'wire open');
};
const brokenWire = (wire: Lane, stretch: Stretch, ohms: number, name: string): Ill => ({
  name: `${name} ${wire}:${stretch}`,
  class: 'wire',
  isAt: (cause) =>
    (cause.of === 'wire' && cause.wire === wire && cause.joint === joint(stretch)) ||
    (cause.of === 'two-wires-open' && cause.joint === joint(stretch) && cause.wires.includes(wire)),
  addedOhms: { [`${wire}:${stretch}`]: ohms },
  ...(stretch === 'contact' ? { shows: ['plug-contacts'] as const } : {}),
});

const resistance: IllMaker = (draw, { wires }) =>
  brokenWire(
    draw.of(wires),
    draw.of(['first', 'second', 'contact'] as const),
    draw.decades(3, 60_000),
    'resistance',
  );

const twoOpen: IllMaker = (draw, { wires }) => {
  const first = draw.of(wires);
  const second = draw.of(wires.filter((wire) => wire !== first));
  const stretch = draw.of(['first', 'second'] as const);
  return {
    name: `two open ${first}+${second}:${stretch}`,
    class: 'wire',
    isAt: (cause) =>
      (cause.of === 'two-wires-open' && cause.joint === stretch && cause.wires.includes(first)) ||
      (cause.of === 'wire' && cause.joint === stretch && [first, second].includes(cause.wire)),
    addedOhms: { [`${first}:${stretch}`]: OPEN_OHMS, [`${second}:${stretch}`]: OPEN_OHMS },
  };
};

const leak =
  (to: 'ground' | 'battery'): IllMaker =>
  (draw, { wires }) => {
    const wire = draw.of(wires.filter((one) => !(to === 'ground' ? isReturn(one) : one === 'battery-feed')));
    return {
      name: `${wire} to ${to}`,
      class: 'wire',
      isAt: (cause) => 'wire' in cause && cause.of === `wire-to-${to}` && cause.wire === wire,
      leaks: [
        {
          a: wire,
          b: to,
          ohms: draw.weighted([
            [6, draw.decades(0.05, 50)],
            [4, draw.decades(50, 20_000)],
          ]),
        },
      ],
    };
  };

const together: IllMaker = (draw, { wires }) => {
  const a = draw.of(wires);
  const b = draw.of(wires.filter((wire) => wire !== a));
  const touches = (of: 'wire-to-ground' | 'wire-to-battery', end: (wire: Lane) => boolean, cause: Cause) =>
    cause.of === of &&
    [[a, b] as const, [b, a] as const].some(([one, other]) => end(other) && cause.wire === one);
  return {
    name: `${a} and ${b} together`,
    class: 'wire',
    // Freed at the same place, whatever it is called.
    isAt: (cause) =>
      (cause.of === 'wires-together' && cause.wires.includes(a) && cause.wires.includes(b)) ||
      touches('wire-to-ground', isReturn, cause) ||
      touches('wire-to-battery', (wire) => wire === 'battery-feed', cause),
    leaks: [
      {
        a,
        b,
        ohms: draw.weighted([
          [6, draw.decades(0.05, 50)],
          [4, draw.decades(50, 20_000)],
        ]),
      },
    ],
  };
};

/** In wires, plugs and the unit. */
export const CIRCUIT_ILLS: IllsByWeight = [
  [15, open],
  [13, resistance],
  [2, twoOpen],
  [7, leak('ground')],
  [3, leak('battery')],
  [5, together],
  [3, neighbourLoads],
  [3, supplyWrong],
  [2, boardOpen],
  [3, groundRaised],
  [2, doesNotRead],
];
