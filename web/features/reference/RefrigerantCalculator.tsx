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
      { label: `${refrigerant}, static, gauge`, value: formatPressure(gauge, 'psi') },
      {
        label: 'The same',
        value: formatPressure(gauge, 'kPa'),
        note: 'Gauge, at the ambient of this altitude on a standard day.',
      },
      { label: 'Absolute', value: formatPressure(saturation.value, 'kPa') },
    );
  }
  return (
    <Calculator
      title="Refrigerant"
      outcomes={outcomes}
      about="Holds while liquid is left in a system that has rested at the temperature of the air. ⚠ Refrigerant work is licensed work; reading a sensor’s voltage is not."
      fields={
        <>
          <ChoiceField
            label="Refrigerant"
            value={refrigerant}
            options={REFRIGERANTS}
            onChange={(value) => set('refrigerant', value)}
          />
          <NumberField
            label={`Ambient temperature in ${scale}`}
            value={values.temperature}
            onChange={(value) => set('temperature', value)}
            read={saturation && !saturation.ok ? saturation : temperature}
          />
          <ChoiceField
            label="Temperature scale"
            value={scale}
            options={TEMPERATURE_UNITS}
            onChange={(value) => set('scale', value)}
          />
          <NumberField
            label="Altitude in m"
            value={values.altitude}
            onChange={(value) => set('altitude', value)}
            read={altitude}
          />
        </>
      }
    />
  );
}
