import { keyOn, type AnyEvidence, type Lane, type Place } from '../evidence/index.ts';
import type { CaseFile } from '../reasoning/index.ts';
import { NEIGHBOURS_OFF, type Candidate } from './candidates.ts';
import type { Decision } from './decisions.ts';
import { decisionWords } from './decisionWords.ts';

/** One thing that must be on record before a part may be named. */
export interface GateItem {
  label: string;
  shown: boolean;
  /** The reading that would show it. */
  reading: Candidate;
}

const KOEO = { engine: 'koeo', plug: 'connected' } as const;

const SUPPLY_LABELS: Partial<Record<Lane, string>> = {
  reference: 'Reference read at the plug, loaded',
  'second-reference': 'Second reference read at the plug, loaded',
  'battery-feed': 'Battery feed read at the plug, loaded',
  return: 'Return read at the plug, loaded',
  'second-return': 'Second return read at the plug, loaded',
};
const PLACE_LABELS: Record<Place, string> = {
  unit: 'Read at the control unit',
  connector: 'Read at the inline connector',
  plug: 'Read at the sensor plug',
};

/**
 * What must have been looked at before a verdict on a decision, whatever the weights say: a part is condemned only with its
 * supply and return read at its plug, loaded, and its signal seen there; a wire, between two readings of it; a control unit, by
 * its own terminals.
 */
export function gateItems(
  { class: sort, id }: Decision,
  { readings, isolation }: CaseFile,
  wires: readonly Lane[],
): GateItem[] {
  const taken = [...readings, ...isolation];
  const at = (lane: Lane, place: Place, label: string, harness?: Candidate['state']): GateItem => ({
    label,
    shown: taken.some((one) => isAt(one, lane, place, harness !== undefined)),
    reading: { target: { kind: 'wire', lane, place }, state: harness ?? KOEO },
  });
  const has = (lane: Lane) => wires.includes(lane);
  switch (sort) {
    case 'sensor':
    case 'wrong-part':
    case 'nothing':
      return [
        ...(Object.keys(SUPPLY_LABELS) as Lane[])
          .filter(has)
          .map((lane) => at(lane, 'plug', SUPPLY_LABELS[lane]!)),
        at('signal', 'plug', 'Signal seen at the plug'),
      ];
    case 'control-unit': {
      const [lane = 'return'] = decisionWords(id)?.lanes ?? [];
      if (!has(lane)) return [];
      const own = at(lane, 'unit', 'Read at the control unit’s own terminal');
      return id.startsWith('unit-gives-no-reference')
        ? [own, at(lane, 'plug', 'Still wrong with the other sensors off', NEIGHBOURS_OFF)]
        : [own];
    }
    case 'wire': {
      const [kind = '', site = ''] = id.split(' ');
      const [name, joint] = site.split(':');
      const lane = wires.find((wire) => wire === name);
      if (kind !== 'wire' || !lane) return [];
      const atPlug = at(lane, 'plug', PLACE_LABELS.plug);
      // On either side of the stretch that is accused.
      if (joint === 'first')
        return [at(lane, 'unit', PLACE_LABELS.unit), at(lane, 'connector', PLACE_LABELS.connector)];
      return joint === 'second' ? [at(lane, 'connector', PLACE_LABELS.connector), atPlug] : [atPlug];
    }
    case 'physical':
      return [];
  }
}

const isAt = (reading: AnyEvidence, lane: Lane, place: Place, neighboursOff: boolean): boolean =>
  reading.kind === 'wire' &&
  reading.lane === lane &&
  reading.place === place &&
  keyOn(reading.state) &&
  reading.state.plug === 'connected' &&
  (reading.state.harness?.attachments ?? []).length === 0 &&
  (reading.state.harness?.neighboursOff ?? []).length > 0 === neighboursOff;
