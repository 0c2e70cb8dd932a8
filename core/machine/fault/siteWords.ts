import { LANE_WORDS } from '../places/index.ts';
import type { FaultKindId } from '../kinds/index.ts';
import type { Site } from './site.ts';
import { JOINT_WORDS } from './wireWords.ts';

/** A place where a kind of fault can be, as one would say it. */
export function siteWords(kind: FaultKindId, site: Site): string {
  switch (site.in) {
    case 'joint':
      return site.joint === 'inside'
        ? `${LANE_WORDS[site.wire]} joint inside the housing`
        : `${LANE_WORDS[site.wire]} wire, ${JOINT_WORDS[site.joint]}`;
    case 'joints':
      return `${LANE_WORDS[site.wires[0]]} and ${LANE_WORDS[site.wires[1]]} wires, ${JOINT_WORDS[site.joint]}`;
    case 'wires':
      return `${LANE_WORDS[site.wires[0]]} and ${LANE_WORDS[site.wires[1]]} wires, at the inline connector`;
    case 'wire':
      return wireWords(kind, LANE_WORDS[site.wire]);
    case 'bias':
      return `bias of the ${LANE_WORDS[site.wire]} input`;
    case 'rail':
      return `${railWords(site.rail)} inside the control unit`;
    case 'neighbour':
      return `sensor ${site.neighbour + 1} on ${site.rail === 0 ? 'the reference' : railWords(site.rail)}`;
    case 'track':
      return trackWords(site);
    case 'element':
      return `the sensor’s element${site.reads ? `, reading ${site.reads === 'up' ? 'high' : 'low'}` : ''}`;
    case 'unit-ground':
    case 'thermistor':
    case 'hose':
    case 'hoses':
    case 'linkage':
    case 'duct':
    case 'passages':
    case 'engine':
      return OTHER_WORDS[site.in];
  }
}

/** The same as briefly as it can be told: the wires, or the part. */
export function briefSite(kind: FaultKindId, site: Site): string {
  if (site.in === 'rail') return railWords(site.rail);
  if (site.in === 'bias') return siteWords(kind, site);
  if ('wires' in site) return `${LANE_WORDS[site.wires[0]]} and ${LANE_WORDS[site.wires[1]]} wires`;
  if (!('wire' in site)) return siteWords(kind, site);
  if (kind === 'unit-pin-open') return `${LANE_WORDS[site.wire]} pin`;
  if (kind === 'unit-does-not-read') return `${LANE_WORDS[site.wire]} input`;
  return `${LANE_WORDS[site.wire]} ${site.in === 'joint' && site.joint === 'inside' ? 'joint' : 'wire'}`;
}

const OTHER_WORDS = {
  'unit-ground': 'ground of the control unit',
  thermistor: 'thermistor',
  hose: 'hose to the sensor',
  hoses: 'hoses to the sensor',
  linkage: 'linkage to the sensor',
  duct: 'air duct and seal of the sensor',
  passages: 'exhaust-gas passages or valve',
  engine: 'engine',
};

const railWords = (rail: number): string => (rail === 0 ? 'reference' : `reference ${rail + 1}`);

function wireWords(kind: FaultKindId, wire: string): string {
  if (kind === 'wire-to-ground') return `${wire} wire at the inline connector, to ground`;
  if (kind === 'wire-to-battery') return `${wire} wire at the inline connector, to battery positive`;
  return kind === 'unit-pin-open'
    ? `${wire} pin inside the control unit`
    : `${wire} input of the control unit`;
}

function trackWords({ part, track, tracks }: Extract<Site, { in: 'track' }>): string {
  const which = tracks === 2 ? `track ${track}` : 'the track';
  switch (part) {
    case 'track':
      return which;
    case 'wiper':
      return `wiper of ${which}`;
    case 'upper':
      return `reference side of ${which}`;
    case 'lower':
      return `return side of ${which}`;
  }
}
