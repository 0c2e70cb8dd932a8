import {
  formatPressure,
  parseAltitude,
  parseReading,
  PRESSURE_UNITS,
  seaLevelPressureKpa,
  stationPressureKpaAbs,
} from '@lettura/core/measure/quantity';
import { Calculator, ChoiceField, chosen, NumberField, type Outcome } from './CalculatorFields.tsx';
import { useFields } from './useFields.ts';

const DEFAULTS = { value: '1013', unit: 'hPa', from: 'sea-level', altitude: '250' };
const FROM = [
  { value: 'sea-level', label: 'Reported, reduced to sea level (QNH)' },
  { value: 'station', label: 'Read here (station pressure)' },
] as const;

/** A weather report and a barometer here, each from the other. */
export function BarometerCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const unit = chosen(values.unit, PRESSURE_UNITS);
  const from = chosen(
    values.from,
    FROM.map(({ value }) => value),
  );
  const pressure = parseReading(values.value, unit);
  const altitude = parseAltitude(values.altitude);
  const outcomes: Outcome[] = [];
  if (pressure.ok && altitude.ok && pressure.value.value > 0) {
    const kpa = pressure.value.value;
    const here = from === 'station' ? kpa : stationPressureKpaAbs(kpa, altitude.value);
    const reduced = from === 'station' ? seaLevelPressureKpa(kpa, altitude.value) : kpa;
    const metres = `At ${Math.round(altitude.value)} m above sea level.`;
    outcomes.push(
      {
        label: 'Station pressure',
        value: formatPressure(here, unit),
        note: `${metres} This is what a sensor open to the air reads.`,
      },
      {
        label: 'Reduced to sea level',
        value: formatPressure(reduced, unit),
        note: 'As weather reports have it.',
      },
    );
  }
  return (
    <Calculator
      title="Barometer"
      outcomes={outcomes}
      about="Reports are reduced to sea level, and read too high for any place above it. Reduction along the US Standard Atmosphere, 1976, as altimeter settings have it."
      fields={
        <>
          <ChoiceField
            label="The pressure was"
            value={from}
            options={FROM}
            onChange={(value) => set('from', value)}
          />
          <NumberField
            label="Pressure"
            value={values.value}
            onChange={(value) => set('value', value)}
            read={pressure}
          />
          <ChoiceField
            label="Unit"
            value={unit}
            options={PRESSURE_UNITS}
            onChange={(value) => set('unit', value)}
          />
          <NumberField
            label="Altitude, m or ft"
            value={values.altitude}
            onChange={(value) => set('altitude', value)}
            read={altitude}
          />
        </>
      }
    />
  );
}
