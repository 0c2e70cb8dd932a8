import { pchip } from './pchip.ts';
import type { SensorProfile, TableTransfer } from './sensorProfile.ts';

/** A transfer function at one supply: signal volts against the sensor's own return, kPa absolute. */
export interface Curve {
  kpaAt(signalVolts: number): number;
  voltsAt(pressureKpaAbs: number): number;
  kpaPerVoltAt(signalVolts: number): number;
  /** Volts of signal per volt of supply at this signal; zero where the output ignores the supply. */
  shareOfSupplyAt(signalVolts: number): number;
}

export function curveOf({ transfer, nominalReferenceVolts }: SensorProfile, supplyVolts: number): Curve {
  switch (transfer.form) {
    case 'linear': {
      const { low, high } = transfer;
      const voltsPerKpa = (high.volts - low.volts) / (high.kpaAbs - low.kpaAbs);
      return straight(voltsPerKpa, low.volts - voltsPerKpa * low.kpaAbs, undefined);
    }
    case 'ratiometric':
      return straight(transfer.sharePerKpa * supplyVolts, transfer.shareAtZero * supplyVolts, supplyVolts);
    case 'table':
      return scaled(
        tableCurve(transfer),
        transfer.ratiometric ? supplyVolts / nominalReferenceVolts : undefined,
        supplyVolts,
      );
  }
}

function straight(voltsPerKpa: number, voltsAtZero: number, supplyVolts: number | undefined): Curve {
  return {
    kpaAt: (volts) => (volts - voltsAtZero) / voltsPerKpa,
    voltsAt: (kpa) => voltsAtZero + voltsPerKpa * kpa,
    kpaPerVoltAt: () => 1 / voltsPerKpa,
    shareOfSupplyAt: (volts) => (supplyVolts === undefined ? 0 : volts / supplyVolts),
  };
}

interface TableCurve {
  kpaAt(volts: number): number;
  kpaPerVoltAt(volts: number): number;
  voltsAt(kpa: number): number;
}

/** A ratiometric table is noted at the nominal reference and stretches with the supply. */
function scaled(table: TableCurve, stretch: number | undefined, supplyVolts: number): Curve {
  const by = stretch ?? 1;
  return {
    kpaAt: (volts) => table.kpaAt(volts / by),
    voltsAt: (kpa) => table.voltsAt(kpa) * by,
    kpaPerVoltAt: (volts) => table.kpaPerVoltAt(volts / by) / by,
    shareOfSupplyAt: (volts) => (stretch === undefined ? 0 : volts / supplyVolts),
  };
}

/** Building the cubic costs more than asking it, and a table is asked thousands of times. */
const built = new WeakMap<TableTransfer, TableCurve>();

function tableCurve(table: TableTransfer): TableCurve {
  const known = built.get(table);
  if (known) return known;
  const points = [...table.points].sort((a, b) => a.volts - b.volts);
  const cubic = pchip(
    points.map(({ volts }) => volts),
    points.map(({ kpaAbs }) => kpaAbs),
  );
  const first = points[0]!;
  const last = points.at(-1)!;
  const rising = last.kpaAbs > first.kpaAbs;
  const curve: TableCurve = {
    kpaAt: cubic.at,
    kpaPerVoltAt: cubic.slopeAt,
    voltsAt(kpa) {
      for (const end of [first, last]) {
        const beyond = end === (rising ? first : last) ? kpa <= end.kpaAbs : kpa >= end.kpaAbs;
        const slope = cubic.slopeAt(end.volts);
        if (beyond) return slope === 0 ? end.volts : end.volts + (kpa - end.kpaAbs) / slope;
      }
      // The cubic is monotone, so halving always closes in on the one answer; 60 halvings exhaust a double.
      let low = first.volts;
      let high = last.volts;
      for (let i = 0; i < 60; i++) {
        const middle = (low + high) / 2;
        if (cubic.at(middle) < kpa === rising) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    },
  };
  built.set(table, curve);
  return curve;
}
