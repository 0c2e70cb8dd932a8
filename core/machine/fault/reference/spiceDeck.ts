import { OPEN_OHMS, SHORT_OHMS, type NetworkParts } from '../../circuit/index.ts';

/**
 * The network as a deck for ngspice, which then prints the voltage of every node. Shorts share a node name; opens are left
 * out; conductors and stages are behavioural current sources with the same pieces. A shunt of 1e15 Ω keeps islands from
 * being singular, where no voltage is compared.
 *
 * @param start where the iteration begins, in volts by node; it decides whether one is found, not which
 */
export function spiceDeck(
  { nodeCount, resistors, conductors, stages }: NetworkParts,
  start: (node: number) => number,
): string {
  const leader = Array.from({ length: nodeCount }, (_, node) => node);
  const name = (node: number): string => {
    let at = node;
    while (leader[at] !== at) at = leader[at]!;
    return at === 0 ? '0' : `n${at}`;
  };
  for (const { a, b, ohms } of resistors) {
    if (ohms >= SHORT_OHMS) continue;
    const [first, second] = [name(a), name(b)].map((n) => (n === '0' ? 0 : Number(n.slice(1)))) as [
      number,
      number,
    ];
    leader[Math.max(first, second)] = Math.min(first, second);
  }
  const v = (a: number, b: number): string => `(V(${name(a)})-V(${name(b)}))`.replaceAll('V(0)', '0');
  const between = (a: number, b: number): string => `${name(a)} ${name(b)}`;
  const lines = [
    ...resistors.flatMap(({ a, b, ohms }, i) =>
      ohms >= SHORT_OHMS && ohms <= OPEN_OHMS && name(a) !== name(b)
        ? [`R${i} ${between(a, b)} ${ohms}`]
        : [],
    ),
    ...conductors.flatMap(({ a, b, breaksVolts, slopesSiemens, interceptsAmps }, i) => {
      if (name(a) === name(b)) return [];
      const ramps = breaksVolts.map(
        (at, k) => `+(${slopesSiemens[k + 1]! - slopesSiemens[k]!})*uramp(${v(a, b)}-(${at}))`,
      );
      return [
        `B${i} ${between(a, b)} I=(${interceptsAmps[0]})+(${slopesSiemens[0]})*${v(a, b)}${ramps.join('')}`,
      ];
    }),
    ...stages.flatMap(
      ({ output, supply, common, share, offsetVolts, lowestShare, highestShare, outputOhms }, i) => {
        const vs = v(supply, common);
        const wanted = `(${share})*${vs}+(${offsetVolts})`;
        const open = `(${vs}>0 ? min(max(${wanted},${lowestShare}*${vs}),${highestShare}*${vs}) : 0)`;
        const amps = `(${open}-${v(output, common)})/${outputOhms}`;
        return [
          ...(name(supply) === name(output) ? [] : [`BG${i} ${between(supply, output)} I=uramp(${amps})`]),
          ...(name(output) === name(common) ? [] : [`BT${i} ${between(output, common)} I=uramp(-(${amps}))`]),
        ];
      },
    ),
  ];
  const used = [...new Set(lines.flatMap((line) => line.split(' ').slice(1, 3)))].filter((n) => n !== '0');
  return [
    '* network',
    ...lines,
    '.options reltol=1e-9 abstol=1e-15 vntol=1e-10 gmin=1e-15 rshunt=1e15 itl1=2000',
    ...used.map((n) => `.nodeset v(${n})=${start(Number(n.slice(1))) || 0}`),
    '.control',
    'op',
    ...used.map((n) => `print v(${n})`),
    'quit',
    '.endc',
    '.end',
    '',
  ].join('\n');
}
