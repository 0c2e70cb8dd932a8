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
import { t } from '../../ui/words.ts';

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
          { label: t('ui-reference.absolute'), value: formatPressure(kpaAbs.value, to) },
          {
            label: t('ui-reference.gauge'),
            value: formatPressure(fromKpaAbs(kpaAbs.value, 'gauge', ambientKpaAbs), to),
          },
          {
            label: t('ui-reference.vacuum'),
            value: formatPressure(fromKpaAbs(kpaAbs.value, 'vacuum', ambientKpaAbs), to),
          },
          {
            label: t('ui-reference.ambient-altitude'),
            value: formatPressure(ambientKpaAbs, to),
            note: t('ui-reference.standard-day-weather-moves-about'),
          },
        ]
      : [];
  return (
    <Calculator
      title={t('ui-reference.pressure')}
      outcomes={outcomes}
      about={t('ui-reference.vacuum-counts-down-ambient-gauge')}
      fields={
        <>
          <NumberField
            label={t('ui-reference.pressure')}
            value={values.value}
            onChange={(value) => set('value', value)}
            read={kpaAbs && !kpaAbs.ok ? kpaAbs : pressure}
          />
          <ChoiceField
            label={t('ui-reference.unit')}
            value={unit}
            options={PRESSURE_UNITS}
            onChange={(value) => set('unit', value)}
          />
          <ChoiceField
            label={t('ui-reference.basis')}
            value={basis}
            options={PRESSURE_BASES}
            onChange={(value) => set('basis', value)}
          />
          <NumberField
            label={t('ui-reference.altitude-m-ft')}
            value={values.altitude}
            onChange={(value) => set('altitude', value)}
            read={altitude}
          />
          <ChoiceField
            label={t('ui-reference.show-in')}
            value={to}
            options={PRESSURE_UNITS}
            onChange={(value) => set('to', value)}
          />
        </>
      }
    />
  );
}
