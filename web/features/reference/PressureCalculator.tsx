import {
  formatPressure,
  fromKpaAbs,
  parseAltitude,
  parseReading,
  PRESSURE_BASES,
  PRESSURE_UNITS,
  standardPressureKpaAbs,
  toKpaAbs,
} from '@lettura/core/measure/quantity';
import { Calculator, ChoiceField, chosen, NumberField, type Outcome } from './CalculatorFields.tsx';
import { useFields } from './useFields.ts';

const DEFAULTS = { value: '15', unit: 'inHg', basis: 'vacuum', altitude: '0', to: 'kPa' };

/** One pressure in every basis. Ambient comes from the altitude; a barometer at hand is better. */
export function PressureCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const unit = chosen(values.unit, PRESSURE_UNITS);
  const to = chosen(values.to, PRESSURE_UNITS);
  const basis = chosen(values.basis, PRESSURE_BASES);
  const pressure = parseReading(values.value, unit);
  const altitude = parseAltitude(values.altitude);
  const ambientKpaAbs = altitude.ok ? standardPressureKpaAbs(altitude.value) : undefined;
  const kpaAbs =
    pressure.ok && ambientKpaAbs !== undefined
      ? toKpaAbs({ pressureKpa: pressure.value.value, basis }, ambientKpaAbs)
      : undefined;
  const outcomes: Outcome[] =
    kpaAbs?.ok && ambientKpaAbs !== undefined
      ? [
          { label: 'Absolute', value: formatPressure(kpaAbs.value, to) },
          { label: 'Gauge', value: formatPressure(fromKpaAbs(kpaAbs.value, 'gauge', ambientKpaAbs), to) },
          { label: 'Vacuum', value: formatPressure(fromKpaAbs(kpaAbs.value, 'vacuum', ambientKpaAbs), to) },
          {
            label: 'Ambient at this altitude',
            value: formatPressure(ambientKpaAbs, to),
            note: 'On a standard day; the weather moves it by about ±2.5 kPa.',
          },
        ]
      : [];
  return (
    <Calculator
      title="Pressure"
      outcomes={outcomes}
      about="Vacuum counts down from ambient, gauge counts up. Factors: NIST SP 811; altitude: US Standard Atmosphere, 1976."
      fields={
        <>
          <NumberField
            label="Pressure"
            value={values.value}
            onChange={(value) => set('value', value)}
            read={kpaAbs && !kpaAbs.ok ? kpaAbs : pressure}
          />
          <ChoiceField
            label="Unit"
            value={unit}
            options={PRESSURE_UNITS}
            onChange={(value) => set('unit', value)}
          />
          <ChoiceField
            label="Basis"
            value={basis}
            options={PRESSURE_BASES}
            onChange={(value) => set('basis', value)}
          />
          <NumberField
            label="Altitude, m or ft"
            value={values.altitude}
            onChange={(value) => set('altitude', value)}
            read={altitude}
          />
          <ChoiceField
            label="Show in"
            value={to}
            options={PRESSURE_UNITS}
            onChange={(value) => set('to', value)}
          />
        </>
      }
    />
  );
}
