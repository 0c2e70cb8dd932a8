import type { PolynomialTransfer, SensorProfile, TableTransfer } from './sensorProfile.ts';
import { pulseCurve } from './pulseCurve.ts';
import { type Curve, hotElement, type OwnCurve, built, tableCurve, polynomialCurve } from './ownCurves.ts';

/** Of twelve bits, from none to all. */
export const SENT_STEPS = 4095;

/** Thousands of values in a row are asked for at one supply. */
const lastAsked = new WeakMap<object, { supplyVolts: number; nominalVolts: number; curve: Curve }>();

/** The curve of a sensor at a reference in volts, both ways: volts of a value, and values of a voltage. */
export function curveOf(
  profile: Pick<SensorProfile, 'transfer' | 'nominalReferenceVolts'>,
  supplyVolts: number,
): Curve {
  const { transfer, nominalReferenceVolts: nominalVolts } = profile;
  const last = lastAsked.get(transfer);
  if (last?.supplyVolts === supplyVolts && last.nominalVolts === nominalVolts) return last.curve;
  const curve = curveAt(profile, supplyVolts);
  lastAsked.set(transfer, { supplyVolts, nominalVolts, curve });
  return curve;
}

function curveAt(
  { transfer, nominalReferenceVolts }: Pick<SensorProfile, 'transfer' | 'nominalReferenceVolts'>,
  supplyVolts: number,
): Curve {
  switch (transfer.form) {
    case 'linear': {
      const { low, high } = transfer;
      const voltsPerUnit = (high.volts - low.volts) / (high.value - low.value);
      return straight(voltsPerUnit, low.volts - voltsPerUnit * low.value, undefined);
    }
    case 'ratiometric':
      return straight(transfer.sharePerUnit * supplyVolts, transfer.shareAtZero * supplyVolts, supplyVolts);
    case 'table':
    case 'polynomial': {
      const stretch = transfer.ratiometric ? supplyVolts / nominalReferenceVolts : undefined;
      return scaled(bent(transfer), stretch, supplyVolts);
    }
    case 'hot-element':
      return scaled(hotElement(transfer), undefined, supplyVolts);
    case 'frequency':
    case 'duty':
      // As a share, as with telegrams.
      return scaled(pulseCurve(transfer), supplyVolts, supplyVolts);
    case 'telegrams': {
      // A step as its share of all steps: what a digital sender makes of its quantity, whatever its line stands at.
      const { low, high } = transfer;
      const voltsPerUnit = (((high.step - low.step) / SENT_STEPS) * supplyVolts) / (high.value - low.value);
      return straight(
        voltsPerUnit,
        (low.step / SENT_STEPS) * supplyVolts - voltsPerUnit * low.value,
        supplyVolts,
      );
    }
  }
}

function straight(voltsPerUnit: number, voltsAtZero: number, supplyVolts: number | undefined): Curve {
  return {
    valueAt: (volts) => (volts - voltsAtZero) / voltsPerUnit,
    voltsAt: (value) => voltsAtZero + voltsPerUnit * value,
    valuePerVoltAt: () => 1 / voltsPerUnit,
    shareOfSupplyAt: (volts) => (supplyVolts === undefined ? 0 : volts / supplyVolts),
  };
}

/** A ratiometric curve is noted at the nominal reference and stretches with the supply. */
function scaled(own: OwnCurve, stretch: number | undefined, supplyVolts: number): Curve {
  if (stretch === undefined) return { ...own, shareOfSupplyAt: () => 0 };
  const { valuesAt } = own;
  return {
    valueAt: (volts) => own.valueAt(volts / stretch),
    voltsAt: (value) => own.voltsAt(value) * stretch,
    valuePerVoltAt: (volts) => own.valuePerVoltAt(volts / stretch) / stretch,
    shareOfSupplyAt: (volts) => volts / supplyVolts,
    valuesAt: valuesAt && ((volts, within) => valuesAt(volts / stretch, within / stretch)),
  };
}

function bent(transfer: TableTransfer | PolynomialTransfer): OwnCurve {
  const known = built.get(transfer);
  if (known) return known;
  const curve = transfer.form === 'table' ? tableCurve(transfer) : polynomialCurve(transfer);
  built.set(transfer, curve);
  return curve;
}
