import type { Message } from '../../measure/message/index.ts';
import type { FamilyId } from '../family/index.ts';
import type { WiringSpec } from '../wiring/index.ts';
import type { Effect } from './effect.ts';
import type { FaultKindId } from '../kinds/index.ts';
import { siteId, type Site, type SiteId } from './site.ts';

export type FaultClass = 'wire' | 'sensor' | 'control-unit' | 'physical' | 'wrong-part';

/** How big a fault of a kind can be. Ohms are spread over decades, the rest evenly. */
export interface SizeRange {
  unit: 'Ω' | 'V' | 'factor' | 'share';
  lowest: number;
  highest: number;
  spread: 'decades' | 'even';
}

/** One place where a kind of fault can be, and what it does there. */
export interface FaultSite {
  at: Site;
  /** Stable, so that a case can be stored: for example `reference:first`. */
  id: SiteId;
  /** Where the size that its kind may have makes no difference. */
  isOneSize?: true;
  effects(size: number): readonly Effect[];
}

/** A place that a kind of fault can be at, and what it does there at a size. */
export const faultSite = (at: Site, effects: FaultSite['effects']): FaultSite => ({
  at,
  id: siteId(at),
  effects,
});

/** What a fault is about: the wiring it is in, and the family of its sensor. */
export interface FaultSubject {
  family: FamilyId;
  wiring: WiringSpec;
}

/** All that is known of a kind of fault. */
export interface FaultSpec {
  class: FaultClass;
  /**
   * How often it is what is wrong, before anything is read: our own starting values, common practice at best. Only proportions
   * count; it is shared out over the sites that a machine has for it.
   */
  weight: number;
  name: Message;
  /** One plain sentence: what is the matter. */
  sentence: Message;
  /** What a technician sees. */
  looksLike: Message;
  /** Where such faults hide, or what brings them about. */
  hides: Message;
  size?: SizeRange;
  /** The sites that this wiring has; none where the kind does not apply. */
  sites(subject: FaultSubject): readonly FaultSite[];
  /** Where a machine that nobody here has met may go further: what is weighed beside what is practised on. */
  beyond?: {
    size?: SizeRange;
    sites?(subject: FaultSubject): readonly FaultSite[];
  };
}

export interface FaultKind extends FaultSpec {
  id: FaultKindId;
}

/** One fault of a machine. */
export interface Fault {
  kind: FaultKind;
  site: FaultSite;
  size: number;
}

/** A size from 0..1 of its range. */
export function sizeAt({ lowest, highest, spread }: SizeRange, at: number): number {
  return spread === 'even' ? lowest + at * (highest - lowest) : lowest * (highest / lowest) ** at;
}

/** Every place where a kind can be on any machine. */
export const allSites = (kind: FaultKind, subject: FaultSubject): readonly FaultSite[] => [
  ...kind.sites(subject),
  ...(kind.beyond?.sites?.(subject) ?? []),
];

/** One fault at 0..1 of how far its kind goes on any machine. */
export function faultAnywhere(kind: FaultKind, site: FaultSite, at: number): Fault {
  const range = kind.beyond?.size ?? kind.size;
  return { kind, site, size: range ? sizeAt(range, at) : 0 };
}

/** A fault at a place; `at` is its share of the way from the smallest size to the largest. */
export const faultOf = (kind: FaultKind, site: FaultSite, at: number): Fault => ({
  kind,
  site,
  size: kind.size ? sizeAt(kind.size, at) : 0,
});
