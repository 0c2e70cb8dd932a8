import {
  formatPressure,
  fromKelvin,
  fromKpaAbs,
  standardPressureKpaAbs,
  TEMPERATURE_UNITS,
  toKelvin,
} from '@lettura/core/measure/quantity';
import { REFRIGERANTS, SATURATION_RANGE_CELSIUS, saturationKpaAbs } from '@lettura/core/measure/refrigerant';
import { Calculator, ChoiceField, chosen, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { useFields } from './useFields.ts';
import { t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';

const DEFAULTS = { refrigerant: 'R-134a', temperature: '20', scale: '°C', altitude: '0' };

/** The static pressure of a rested system: what its pressure sensor must show with everything off. */
export function RefrigerantCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const refrigerant = chosen(values.refrigerant, REFRIGERANTS);
  const scale = chosen(values.scale, TEMPERATURE_UNITS);
  const [lowest, highest] = SATURATION_RANGE_CELSIUS.map((celsius) =>
    Math.round(fromKelvin(celsius + 273.15, scale)),
  ) as [number, number];
  const temperature = fieldNumber(values.temperature, { lowest, highest, unit: scale });
  const altitude = fieldNumber(values.altitude, { lowest: -430, highest: 6000, unit: 'm' });
  const saturation = temperature.ok
    ? saturationKpaAbs(refrigerant, toKelvin(temperature.value, scale))
    : undefined;
  const outcomes: Outcome[] = [];
  if (saturation?.ok && altitude.ok) {
    const gauge = fromKpaAbs(saturation.value, 'gauge', standardPressureKpaAbs(altitude.value));
    outcomes.push(
      {
        label: t('ui-reference.static-gauge', { refrigerant: verbatim(refrigerant) }),
        value: formatPressure(gauge, 'psi'),
      },
      {
        label: t('ui-reference.the-same'),
        value: formatPressure(gauge, 'kPa'),
        note: t('ui-reference.gauge-ambient-altitude-standard-day'),
      },
      { label: t('ui-reference.absolute'), value: formatPressure(saturation.value, 'kPa') },
    );
  }
  return (
    <Calculator
      title={t('ui-reference.refrigerant')}
      outcomes={outcomes}
      about={t('ui-reference.holds-while-liquid-left-system')}
      fields={
        <>
          <ChoiceField
            label={t('ui-reference.refrigerant')}
            value={refrigerant}
            options={REFRIGERANTS}
            onChange={(value) => set('refrigerant', value)}
          />
          <NumberField
            label={t('ui-reference.ambient-temperature', { scale: verbatim(scale) })}
            value={values.temperature}
            onChange={(value) => set('temperature', value)}
            read={saturation && !saturation.ok ? saturation : temperature}
          />
          <ChoiceField
            label={t('ui-reference.temperature-scale')}
            value={scale}
            options={TEMPERATURE_UNITS}
            onChange={(value) => set('scale', value)}
          />
          <NumberField
            label={t('ui-reference.altitude-m')}
            value={values.altitude}
            onChange={(value) => set('altitude', value)}
            read={altitude}
          />
        </>
      }
    />
  );
}
