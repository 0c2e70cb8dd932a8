import { formatPressure, fromKpa, toKpa } from '@lettura/core/quantity';
import { pressureFromSignal, signalFromPressure } from '@lettura/core/transfer';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Calculator, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from './fieldNumber.ts';
import { useFields } from './useFields.ts';
import { useSensorChoice } from './useSensorChoice.tsx';

const DEFAULTS = { sensor: '', reference: '5.00', volts: '2.50', pressure: '100' };
const VOLTS = { lowest: 0, highest: 16, unit: 'V' };

/** Volts to pressure and back, for any sensor in the library at any reference. */
export function SensorCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const { absolute } = useSelector(selectUnits);
  const { sensor, field: sensorField } = useSensorChoice(values.sensor, (id) => set('sensor', id));
  const reference = fieldNumber(values.reference, VOLTS);
  const volts = fieldNumber(values.volts, VOLTS);
  const pressure = fieldNumber(values.pressure, {
    lowest: 0,
    highest: Math.round(fromKpa(1000, absolute)),
    unit: absolute,
  });
  const outcomes: Outcome[] = [];
  let supply: ReturnType<typeof pressureFromSignal> | undefined;
  if (sensor && reference.ok && volts.ok) {
    supply = pressureFromSignal(
      { signalVolts: volts.value, referenceVolts: reference.value, returnVolts: 0 },
      sensor.profile,
    );
    if (supply.ok) {
      outcomes.push({
        label: `${values.volts} V is`,
        value: `${formatPressure(supply.value.pressureKpaAbs, absolute)} abs`,
        note: supply.value.extrapolated
          ? 'Outside the sensor’s range: no pressure that it is made for.'
          : `±${formatPressure(sensor.profile.toleranceKpa, absolute)} by the sensor’s tolerance.`,
      });
    }
  }
  if (sensor && reference.ok && pressure.ok && supply?.ok) {
    const back = signalFromPressure(toKpa(pressure.value, absolute), reference.value, sensor.profile);
    outcomes.push({
      label: `${values.pressure} ${absolute} absolute is`,
      value: `${back.signalVolts.toFixed(3)} V`,
      ...(back.extrapolated ? { note: 'Outside the sensor’s range.' } : {}),
    });
  }
  return (
    <Calculator
      title="Volts and pressure"
      outcomes={outcomes}
      about={
        sensor
          ? `${sensor.source}. Volts against the sensor’s return. The maker’s data overrules these values.`
          : ''
      }
      fields={
        <>
          {sensorField}
          <NumberField
            label="Reference in V"
            value={values.reference}
            onChange={(value) => set('reference', value)}
            read={supply && !supply.ok ? supply : reference}
          />
          <NumberField
            label="Signal in V"
            value={values.volts}
            onChange={(value) => set('volts', value)}
            read={volts}
          />
          <NumberField
            label={`Pressure in ${absolute} absolute`}
            value={values.pressure}
            onChange={(value) => set('pressure', value)}
            read={pressure}
          />
        </>
      }
    />
  );
}
