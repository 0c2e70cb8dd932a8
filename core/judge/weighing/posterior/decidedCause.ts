import type { FaultKindId } from '../../../machine/fault/index.ts';
import type { Lane } from '../../../machine/places/index.ts';
import { PHYSICAL_KIND_IDS, type PhysicalKindId } from '../../../machine/kinds/index.ts';
import { type Cause } from './cause.ts';
import { NOTHING, type Hypothesis } from '../hypotheses/hypotheses.ts';

/** What would be done about a hypothesis. */
export function causeOf({ class: sort, kind, site }: Hypothesis): Cause {
  // A sensor is replaced as a whole, whatever is broken in it; so is one of another variant.
  if (sort === 'sensor' || sort === 'wrong-part' || sort === 'unlisted') return { of: sort };
  if (!kind || !site) return { of: NOTHING };
  const { at } = site;
  switch (at.in) {
    case 'joint':
      // A wire is repaired where it is open or green.
      return { of: 'wire', wire: at.wire, joint: at.joint };
    case 'joints':
      return { of: 'two-wires-open', wires: at.wires, joint: at.joint };
    case 'wires':
      return touching(at.wires);
    case 'bias':
      return { of: 'unit-bias-lost', wire: at.wire, pull: at.pull };
    case 'rail':
      return { of: 'unit-gives-no-reference', rail: at.rail };
    case 'neighbour':
      return { of: 'rail-pulled-down', neighbour: at.neighbour };
    case 'unit-ground':
      return { of: 'unit-ground-raised' };
    case 'wire':
      return aboutWire(kind.id, at.wire);
    case 'hose':
    case 'hoses':
    case 'linkage':
    case 'duct':
    case 'passages':
    case 'engine':
      return { of: physicalKind(kind.id) };
    case 'element':
    case 'track':
    case 'thermistor':
      throw new Error(`A fault of the sensor is of another class: ${kind.id}.`);
  }
}

function physicalKind(id: FaultKindId): PhysicalKindId {
  const found = PHYSICAL_KIND_IDS.find((one) => one === id);
  if (!found) throw new Error(`${id} is in the circuit.`);
  return found;
}

function aboutWire(kind: FaultKindId, wire: Lane): Cause {
  if (kind === 'wire-to-ground' || kind === 'wire-to-battery' || kind === 'unit-does-not-read')
    return { of: kind, wire };
  if (kind !== 'unit-pin-open') throw new Error(`A fault of kind ${kind} is in no whole wire.`);
  // Seen from outside, a unit that lost its reference pin gives no reference.
  if (wire === 'reference') return { of: 'unit-gives-no-reference', rail: 0 };
  return wire === 'second-reference' ? { of: 'unit-gives-no-reference', rail: 1 } : { of: kind, wire };
}

/** The return is ground at the unit, and a battery feed is the battery: whichever it touches, it is freed at the same place. */
function touching(wires: readonly [Lane, Lane]): Cause {
  const [a, b] = wires;
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const) {
    if (other === 'return' || other === 'second-return') return { of: 'wire-to-ground', wire: one };
    if (other === 'battery-feed') return { of: 'wire-to-battery', wire: one };
  }
  return { of: 'wires-together', wires };
}
