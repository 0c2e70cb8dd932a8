import { solveNodeVoltages, type Component } from '@lettura/core/circuit';
import { keyOn, type ThreeWire, type MachineState, type Place } from '@lettura/core/evidence';
import { signalFromValue } from '@lettura/core/transfer';
import type { HiddenFault } from './hiddenFaults.ts';
import { BRILL_P4 } from './machines/brillP4.ts';
import { seededRandom } from './random.ts';

const BATTERY_NEGATIVE = 0;
const UNIT_GROUND = 1;
const NODE_COUNT = 14;
/** Four nodes a lane: at the unit, at the inline connector, at the plug on the harness side, inside the sensor. */
const FIRST_NODE: Record<ThreeWire, number> = { reference: 2, signal: 6, return: 10 };
const STEP: Record<Place, number> = { unit: 0, connector: 1, plug: 2 };
const nodeOf = (lane: ThreeWire, place: Place): number => FIRST_NODE[lane] + STEP[place];
const sensorNode = (lane: ThreeWire): number => FIRST_NODE[lane] + 3;

const METER_OHMS = 10e6;

export interface SimulatedMachine {
  /** Volts against battery negative, with a 10 MΩ meter attached there and nowhere else. */
  voltsAt(lane: ThreeWire, place: Place, state: MachineState): number;
  /** What the control unit's input sees against its own ground, with no meter attached. */
  unitInputVolts(state: MachineState): number;
  manifoldKpaAbs(state: MachineState): number;
  ambientKpaAbs: number;
}

/** A machine with one hidden fault. Where the fault sits and how big it is follow from the seed. */
export function simulatedMachine(fault: HiddenFault, seed: number): SimulatedMachine {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const individual = {
    referenceVolts: between(4.96, 5.03),
    idleKpaAbs: fault === 'low-vacuum' ? between(50, 58) : between(29, 34),
    offsetVolts: fault === 'sensor-offset' ? between(0.45, 0.75) : between(-0.02, 0.02),
    stuckShare: fault === 'sensor-stuck' ? between(0.35, 0.6) : undefined,
    returnExtraOhms: fault === 'return-high-resistance' ? between(45, 110) : 0,
    faultySegment: random() < 0.5 ? 0 : 1,
  };
  const ambientKpaAbs = BRILL_P4.ambientKpaAbs;

  const manifoldKpaAbs = ({ engine }: MachineState): number => {
    switch (engine) {
      case 'key-off':
      case 'koeo':
        return ambientKpaAbs;
      case 'idle':
        return individual.idleKpaAbs;
      case 'held-revs':
        return individual.idleKpaAbs - 3;
      case 'snap-open':
        return ambientKpaAbs - 4;
    }
  };

  const harness = (lane: ThreeWire): Component[] => {
    const cut = lane === 'reference' ? 'reference-open' : lane === 'signal' ? 'signal-open' : undefined;
    return [0, 1].flatMap((segment) => {
      const faulty = segment === individual.faultySegment;
      if (faulty && fault === cut) return [];
      const extraOhms = faulty && lane === 'return' ? individual.returnExtraOhms : 0;
      const a = FIRST_NODE[lane] + segment;
      return [{ kind: 'resistor', a, b: a + 1, ohms: BRILL_P4.segmentOhms + extraOhms } as const];
    });
  };

  const network = (state: MachineState): Component[] => {
    const { profile } = BRILL_P4.sensor;
    const { nominalReferenceVolts } = profile;
    const { signalVolts } = signalFromValue(manifoldKpaAbs(state), nominalReferenceVolts, profile);
    const share =
      individual.stuckShare ?? Math.min(0.97, Math.max(0.03, signalVolts / nominalReferenceVolts));
    const parts: Component[] = [
      { kind: 'resistor', a: UNIT_GROUND, b: BATTERY_NEGATIVE, ohms: 0.01 },
      { kind: 'resistor', a: nodeOf('return', 'unit'), b: UNIT_GROUND, ohms: 0.02 },
      { kind: 'resistor', a: nodeOf('signal', 'unit'), b: UNIT_GROUND, ohms: BRILL_P4.biasOhms },
      {
        kind: 'source',
        plus: nodeOf('reference', 'unit'),
        minus: UNIT_GROUND,
        volts: keyOn(state) ? individual.referenceVolts : 0,
        seriesOhms: 0.5,
      },
      ...harness('reference'),
      ...harness('signal'),
      ...harness('return'),
      {
        kind: 'resistor',
        a: sensorNode('reference'),
        b: sensorNode('return'),
        ohms: nominalReferenceVolts / (BRILL_P4.supplyMilliamps / 1000),
      },
      {
        kind: 'ratiometric-stage',
        output: sensorNode('signal'),
        supply: sensorNode('reference'),
        common: sensorNode('return'),
        share,
        // An offset comes from the sensor's own stage: without a supply it is gone too.
        offsetVolts: keyOn(state) && fault !== 'reference-open' ? individual.offsetVolts : 0,
        outputOhms: BRILL_P4.sensorOutputOhms,
      },
    ];
    if (state.plug === 'connected') {
      for (const lane of ['reference', 'signal', 'return'] as const) {
        parts.push({
          kind: 'resistor',
          a: nodeOf(lane, 'plug'),
          b: sensorNode(lane),
          ohms: BRILL_P4.contactOhms,
        });
      }
    }
    if (fault === 'signal-short-to-reference') {
      parts.push({
        kind: 'resistor',
        a: nodeOf('signal', 'connector'),
        b: nodeOf('reference', 'connector'),
        ohms: 0.3,
      });
    }
    return parts;
  };

  return {
    ambientKpaAbs,
    manifoldKpaAbs,
    voltsAt(lane, place, state) {
      const node = nodeOf(lane, place);
      const meter: Component = { kind: 'resistor', a: node, b: BATTERY_NEGATIVE, ohms: METER_OHMS };
      // The meter ties even a floating wire to ground, so there is always an answer here.
      return solveNodeVoltages(NODE_COUNT, [...network(state), meter])[node] as number;
    },
    unitInputVolts(state) {
      const volts = solveNodeVoltages(NODE_COUNT, network(state));
      return (volts[nodeOf('signal', 'unit')] as number) - (volts[UNIT_GROUND] as number);
    },
  };
}
