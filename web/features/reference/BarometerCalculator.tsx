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
import { t } from '../../ui/words.ts';

const DEFAULTS = { value: '1013', unit: 'hPa', from: 'sea-level', altitude: '250' };
const FROM = [
  { value: 'sea-level', label: t('ui-reference.reported-reduced-sea-level-qnh') },
  { value: 'station', label: t('ui-reference.read-here-station-pressure') },
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
    const metres = t('ui-reference.m-above-sea-level', { value: Math.round(altitude.value) });
    outcomes.push(
      {
        label: t('ui-reference.station-pressure'),
        value: formatPressure(here, unit),
        note: t('ui-reference.sensor-open-air-reads', { metres }),
      },
      {
        label: t('ui-reference.reduced-sea-level'),
        value: formatPressure(reduced, unit),
        note: t('ui-reference.weather-reports'),
      },
    );
  }
  return (
    <Calculator
      title={t('ui-reference.barometer')}
      outcomes={outcomes}
      about={t('ui-reference.reports-reduced-sea-level-read')}
      fields={
        <>
          <ChoiceField
            label={t('ui-reference.the-pressure-was')}
            value={from}
            options={FROM}
            onChange={(value) => set('from', value)}
          />
          <NumberField
            label={t('ui-reference.pressure')}
            value={values.value}
            onChange={(value) => set('value', value)}
            read={pressure}
          />
          <ChoiceField
            label={t('ui-reference.unit')}
            value={unit}
            options={PRESSURE_UNITS}
            onChange={(value) => set('unit', value)}
          />
          <NumberField
            label={t('ui-reference.altitude-m-ft')}
            value={values.altitude}
            onChange={(value) => set('altitude', value)}
            read={altitude}
          />
        </>
      }
    />
  );
}
