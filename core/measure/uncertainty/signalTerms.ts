import { say } from '../message/index.ts';
import { curveOf, toleranceAt, type SensorProfile } from '../transfer/index.ts';
import { fromLimits, type UncertaintyTerm } from './budget.ts';
import { inputLimitVolts, wireTerms, type WireInput } from './wireTerms.ts';

export const SENSOR_TOLERANCE = say('doubt.sensor-tolerance');

/** The wires that a value is worked out of. A return of no doubt at all stands for battery negative. */
export interface SignalWires {
  signal: WireInput;
  reference: WireInput;
  return: WireInput;
}

/** Doubt of a value made from wire readings: the wires as read or assumed, the sensor's own limits, and its curve. */
export function signalTerms(wires: SignalWires, profile: SensorProfile): UncertaintyTerm[] {
  const supplyVolts = wires.reference.volts - wires.return.volts;
  const curve = curveOf(profile, supplyVolts);
  const ownVolts = wires.signal.volts - wires.return.volts;
  const value = curve.valueAt(ownVolts);
  const valuePerVolt = curve.valuePerVoltAt(ownVolts);
  // A ratiometric output moves with its supply: ∂V/∂Vref is the share itself. The return is taken off both.
  const shareOfSupply = curve.shareOfSupplyAt(ownVolts);
  const tolerance = {
    source: SENSOR_TOLERANCE,
    standardUncertainty: fromLimits(toleranceAt(value, profile)),
  };
  const { fitUncertaintyVolts } = profile;
  const fitted =
    fitUncertaintyVolts === undefined
      ? []
      : [
          {
            source: say('doubt.curve-fitted-points'),
            standardUncertainty: fitUncertaintyVolts * Math.abs(valuePerVolt),
          },
        ];
  if (curve.valuesAt) {
    const within =
      inputLimitVolts(wires.signal) +
      Math.abs(shareOfSupply) * inputLimitVolts(wires.reference) +
      Math.abs(1 - shareOfSupply) * inputLimitVolts(wires.return);
    const { lowest, highest } = curve.valuesAt(ownVolts, within);
    const half = Math.max(highest - value, value - lowest);
    return [tolerance, { source: SEVERAL_VALUES, standardUncertainty: fromLimits(half) }];
  }
  return [
    tolerance,
    ...fitted,
    ...wireTerms([
      { name: say('lane.signal'), input: wires.signal, resultPerVolt: valuePerVolt },
      { name: say('lane.reference'), input: wires.reference, resultPerVolt: -shareOfSupply * valuePerVolt },
      { name: say('lane.return'), input: wires.return, resultPerVolt: (shareOfSupply - 1) * valuePerVolt },
    ]).filter(({ standardUncertainty }) => standardUncertainty > 0),
  ];
}

/** Where a curve stands still or turns round, with the doubt of the wires in it. */
export const SEVERAL_VALUES = say('doubt.curve-where-one-voltage-means');
