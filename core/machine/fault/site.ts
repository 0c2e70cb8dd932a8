import type { Lane } from '../places/index.ts';
import type { Joint } from '../wiring/index.ts';

/** Where another curve begins beside the one expected: lower or higher; or only there, and as steep. */
export type OtherFoot = 'lower' | 'higher' | 'moved';

/** A place where a fault can be. */
export type Site =
  /** A joint of one wire, or of two that were cut together. */
  | { in: 'joint'; wire: Lane; joint: Joint }
  | { in: 'joints'; wires: readonly [Lane, Lane]; joint: 'first' | 'second' }
  /** A wire at the inline connector, or two that touch there; a pin or an input of the unit. */
  | { in: 'wire'; wire: Lane }
  | { in: 'wires'; wires: readonly [Lane, Lane] }
  | { in: 'bias'; wire: Lane; pull: 'pull-up' | 'pull-down' }
  | { in: 'rail'; rail: number }
  | { in: 'neighbour'; neighbour: number; rail: number }
  | { in: 'unit-ground' }
  /** The sensor: which way it is off, or which track of how many. */
  | { in: 'element'; reads?: 'up' | 'down'; foot?: OtherFoot }
  | { in: 'track'; part: 'track' | 'wiper' | 'upper' | 'lower'; track: 1 | 2; tracks: 1 | 2 }
  | { in: 'thermistor' }
  /** Outside of sensor and circuit. */
  | { in: 'hose' | 'hoses' | 'duct' | 'passages' | 'engine' }
  /** Loose, or off and lying somewhere. */
  | { in: 'linkage'; lies?: true };

/** A site as one word, so that a case can be stored and written down. */
export type SiteId =
  | `${Lane}:${Joint}`
  | `${Lane}+${Lane}:${'first' | 'second'}`
  | Lane
  | `${Lane}+${Lane}`
  | `${'pull-up' | 'pull-down'}:${Lane}`
  | `rail:${number}`
  | `neighbour:${number}`
  | 'unit-ground'
  | 'element'
  | 'up'
  | 'down'
  | `${'up' | 'down'}-${OtherFoot}`
  | `${'track' | 'wiper' | 'upper' | 'lower'}:${1 | 2}`
  | 'thermistor'
  | 'hose'
  | 'hoses'
  | 'linkage'
  | 'linkage-off'
  | 'duct'
  | 'passages'
  | 'engine';

/** A site as one line of text: the same for the same site, and for no other. */
export function siteId(site: Site): SiteId {
  switch (site.in) {
    case 'joint':
      return `${site.wire}:${site.joint}`;
    case 'joints':
      return `${site.wires[0]}+${site.wires[1]}:${site.joint}`;
    case 'wire':
      return site.wire;
    case 'wires':
      return `${site.wires[0]}+${site.wires[1]}`;
    case 'bias':
      return `${site.pull}:${site.wire}`;
    case 'rail':
      return `rail:${site.rail}`;
    case 'neighbour':
      return `neighbour:${site.neighbour}`;
    case 'element':
      return site.reads && site.foot ? `${site.reads}-${site.foot}` : (site.reads ?? 'element');
    case 'track':
      return `${site.part}:${site.track}`;
    case 'linkage':
      return site.lies ? 'linkage-off' : 'linkage';
    case 'unit-ground':
    case 'thermistor':
    case 'hose':
    case 'hoses':
    case 'duct':
    case 'passages':
    case 'engine':
      return site.in;
  }
}

/** Between a pin and its terminal, where a plug is taken apart. */
export const isInPlug = (site: Site): boolean => site.in === 'joint' && site.joint === 'plug';

/** The wires that a site is about; none for what is about none. */
export function lanesOf(site: Site): readonly Lane[] {
  if ('wires' in site) return site.wires;
  return 'wire' in site ? [site.wire] : [];
}
