import { loadedSupply } from '@lettura/core/circuit';
import { formatPressure, fromKpa, toKpa } from '@lettura/core/quantity';
import { pressureFromSignal, signalFromPressure } from '@lettura/core/transfer';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Calculator, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from './fieldNumber.ts';
import { useFields } from './useFields.ts';
import { useSensorChoice } from './useSensorChoice.tsx';

const DEFAULTS = { sensor: '', returnOhms: '5', referenceOhms: '0', milliamps: '7', pressure: '40' };
const OHMS = { lowest: 0, highest: 100_000, unit: 'Ω' };

/** What ohms in a supply wire do to the reading: a wire that passes a continuity test may still shift it. */
export function OhmsCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const { absolute } = useSelector(selectUnits);
  const { sensor, field: sensorField } = useSensorChoice(values.sensor, (id) => set('sensor', id));
  const returnOhms = fieldNumber(values.returnOhms, OHMS);
  const referenceOhms = fieldNumber(values.referenceOhms, OHMS);
  const milliamps = fieldNumber(values.milliamps, { lowest: 0.1, highest: 200, unit: 'mA' });
  const pressure = fieldNumber(values.pressure, {
    lowest: 0,
    highest: Math.round(fromKpa(1000, absolute)),
    unit: absolute,
  });
  const outcomes: Outcome[] = [];
  if (sensor && returnOhms.ok && referenceOhms.ok && milliamps.ok && pressure.ok) {
    const { nominalReferenceVolts } = sensor.profile;
    const supply = loadedSupply({
      referenceVolts: nominalReferenceVolts,
      supplyAmps: milliamps.value / 1000,
      referenceOhms: referenceOhms.value,
      returnOhms: returnOhms.value,
    });
    const trueKpaAbs = toKpa(pressure.value, absolute);
    const own = signalFromPressure(trueKpaAbs, supply.referenceVolts - supply.returnVolts, sensor.profile);
    const signalVolts = own.signalVolts + supply.returnVolts;
    const seen = pressureFromSignal(
      { signalVolts, referenceVolts: nominalReferenceVolts, returnVolts: 0 },
      sensor.profile,
    );
    outcomes.push(
      {
        label: 'Return at the plug',
        value: `${(supply.returnVolts * 1000).toFixed(0)} mV`,
        note: supply.returnVolts > 0.05 ? 'More than the usual 50 mV.' : 'Within the usual 50 mV.',
      },
      { label: 'Reference at the plug', value: `${supply.referenceVolts.toFixed(2)} V` },
    );
    if (seen.ok) {
      const shift = seen.value.pressureKpaAbs - trueKpaAbs;
      outcomes.push({
        label: 'The control unit then reads',
        value: `${formatPressure(seen.value.pressureKpaAbs, absolute)} abs`,
        note: `${formatPressure(Math.abs(shift), absolute)} ${shift < 0 ? 'below' : 'above'} the truth${Math.abs(shift) > sensor.profile.differenceThatMattersKpa ? ': it matters.' : ': too little to matter.'}`,
      });
    }
  }
  return (
    <Calculator
      title="Ohms in a supply wire"
      outcomes={outcomes}
      about="Solved as a circuit: reference, both wires, and the sensor as the resistor that draws its current. Resistance itself is measured with the power off."
      fields={
        <>
          {sensorField}
          <NumberField
            label="Return in Ω"
            value={values.returnOhms}
            onChange={(value) => set('returnOhms', value)}
            read={returnOhms}
          />
          <NumberField
            label="Reference wire in Ω"
            value={values.referenceOhms}
            onChange={(value) => set('referenceOhms', value)}
            read={referenceOhms}
          />
          <NumberField
            label="Sensor draws, in mA"
            value={values.milliamps}
            onChange={(value) => set('milliamps', value)}
            read={milliamps}
          />
          <NumberField
            label={`True pressure in ${absolute} absolute`}
            value={values.pressure}
            onChange={(value) => set('pressure', value)}
            read={pressure}
          />
        </>
      }
    />
  );
}
