import { LANES, type Lane } from '../../../machine/places/index.ts';
import { PHYSICAL_KIND_IDS, type PhysicalKindId } from '../../../machine/kinds/index.ts';
import { JOINTS, type Joint } from '../../../machine/wiring/index.ts';

/** What one would do something about: the name of a decision, and what a verdict records. */
export type Cause =
  | { of: 'nothing' | 'sensor' | 'wrong-part' | 'unlisted' }
  | { of: PhysicalKindId }
  | { of: 'wire'; wire: Lane; joint: Joint }
  /** One of the contacts in the sensor plug, whichever it is. */
  | { of: 'plug-contacts' }
  | { of: 'wire-to-ground' | 'wire-to-battery'; wire: Lane }
  | { of: 'wires-together'; wires: readonly [Lane, Lane] }
  | { of: 'two-wires-open'; wires: readonly [Lane, Lane]; joint: Joint }
  | { of: 'unit-pin-open' | 'unit-does-not-read'; wire: Lane }
  | { of: 'unit-bias-lost'; wire: Lane; pull: 'pull-up' | 'pull-down' }
  | { of: 'unit-gives-no-reference'; rail: number }
  | { of: 'unit-ground-raised' }
  | { of: 'rail-pulled-down'; neighbour: number };

/** A cause as one line of text, as verdicts are stored: `wire reference:first`. The inverse of `parseCause`. */
export function causeId(cause: Cause): string {
  switch (cause.of) {
    case 'wire':
      return `wire ${cause.wire}:${cause.joint}`;
    case 'wire-to-ground':
    case 'wire-to-battery':
    case 'unit-pin-open':
    case 'unit-does-not-read':
      return `${cause.of} ${cause.wire}`;
    case 'wires-together':
      return `${cause.of} ${cause.wires.join('+')}`;
    case 'two-wires-open':
      return `${cause.of} ${cause.wires.join('+')}:${cause.joint}`;
    case 'unit-bias-lost':
      return `${cause.of} ${cause.pull}:${cause.wire}`;
    case 'unit-gives-no-reference':
      return `${cause.of} rail:${cause.rail}`;
    case 'unit-ground-raised':
      return `${cause.of} unit-ground`;
    case 'rail-pulled-down':
      return `${cause.of} neighbour:${cause.neighbour}`;
    case 'nothing':
    case 'sensor':
    case 'wrong-part':
    case 'unlisted':
    case 'plug-contacts':
    case 'hose':
    case 'hoses-swapped':
    case 'linkage':
    case 'unmetered-air':
    case 'restricted-passages':
    case 'low-vacuum':
      return cause.of;
  }
}

/** Reads what `causeId` writes; undefined for a name that is no cause. */
export function parseCause(id: string): Cause | undefined {
  const [of = '', place = '', ...more] = id.split(' ');
  const [first = '', last = ''] = place.split(':');
  const wires = first.split('+');
  const [wire] = wires;
  const cause = ((): Cause | undefined => {
    switch (of) {
      case 'nothing':
      case 'sensor':
      case 'wrong-part':
      case 'unlisted':
      case 'plug-contacts':
        return { of };
      case 'wire':
        return isLane(wire) && isJoint(last) ? { of, wire, joint: last } : undefined;
      case 'wire-to-ground':
      case 'wire-to-battery':
      case 'unit-pin-open':
      case 'unit-does-not-read':
        return isLane(wire) ? { of, wire } : undefined;
      case 'wires-together':
        return isPair(wires) ? { of, wires } : undefined;
      case 'two-wires-open':
        return isPair(wires) && isJoint(last) ? { of, wires, joint: last } : undefined;
      case 'unit-bias-lost':
        return isLane(last) && (first === 'pull-up' || first === 'pull-down')
          ? { of, pull: first, wire: last }
          : undefined;
      case 'unit-gives-no-reference':
        return { of, rail: Number(last) };
      case 'unit-ground-raised':
        return { of };
      case 'rail-pulled-down':
        return { of, neighbour: Number(last) };
      default:
        return isPhysical(of) ? { of } : undefined;
    }
  })();
  // Whatever else stands in the name makes it another one.
  return cause && more.length === 0 && causeId(cause) === id ? cause : undefined;
}

const isLane = (name: string | undefined): name is Lane =>
  (LANES as readonly (string | undefined)[]).includes(name);
const isJoint = (name: string): name is Joint => (JOINTS as readonly string[]).includes(name);
const isPair = (names: readonly string[]): names is [Lane, Lane] => names.length === 2 && names.every(isLane);
const isPhysical = (name: string): name is PhysicalKindId =>
  (PHYSICAL_KIND_IDS as readonly string[]).includes(name);

/** The wires that a cause is about; none for what is about none. */
export function lanesOfCause(cause: Cause): readonly Lane[] {
  if ('wires' in cause) return cause.wires;
  if ('wire' in cause) return [cause.wire];
  if (cause.of === 'unit-gives-no-reference') return [cause.rail === 0 ? 'reference' : 'second-reference'];
  return cause.of === 'rail-pulled-down' ? ['reference'] : [];
}

/** Names in verdicts from before the weighing reasoned with the circuit; what was recorded stays readable. */
export const EARLIER_CAUSES = [
  'reference-open',
  'reference-supply',
  'return-resistance',
  'unit-ground',
  'signal-open',
  'signal-short-reference',
  'signal-short-ground',
  'sensor-shifted',
  'sensor-stuck',
  'sensor-loads-reference',
  'engine-vacuum',
  'path',
  'unit-input',
] as const;

/** Whether a verdict may be recorded under that name, of any time. */
export const isCauseName = (id: string): boolean =>
  parseCause(id) !== undefined || EARLIER_CAUSES.some((name) => name === id);
