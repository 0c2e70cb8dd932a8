import { loadedSupply } from '@lettura/core/machine/circuit';
import {
  formatValue,
  formatWithBasis,
  fromShown,
  toShown,
  unitInWords,
} from '@lettura/core/measure/quantity';
import { valueFromSignal, signalFromValue } from '@lettura/core/measure/transfer';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Calculator, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { ANY, roomAround } from './roomAround.ts';
import { useFields } from './useFields.ts';
import { useSensorChoice } from './useSensorChoice.tsx';

const DEFAULTS = { sensor: '', returnOhms: '5', referenceOhms: '0', milliamps: '7', value: '' };
const OHMS = { lowest: 0, highest: 100_000, unit: 'Ω' };

/** What ohms in a supply wire do to the reading: a wire that passes a continuity test may still shift it. */
export function OhmsCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const { absolute } = useSelector(selectUnits);
  const { sensor, field: sensorField } = useSensorChoice(values.sensor, (id) => set('sensor', id));
  const returnOhms = fieldNumber(values.returnOhms, OHMS);
  const referenceOhms = fieldNumber(values.referenceOhms, OHMS);
  const milliamps = fieldNumber(values.milliamps, { lowest: 0.1, highest: 200, unit: 'mA' });
  const { measures, lowest, highest } = sensor?.profile ?? ANY;
  const quarter = toShown(lowest + (highest - lowest) / 4, measures, absolute);
  const valueText = values.value === '' ? quarter.toPrecision(3) : values.value;
  const value = fieldNumber(valueText, roomAround(lowest, highest, measures, absolute));
  const show = (given: number) => formatValue(given, measures, absolute);
  const outcomes: Outcome[] = [];
  if (sensor && returnOhms.ok && referenceOhms.ok && milliamps.ok && value.ok) {
    const { nominalReferenceVolts } = sensor.profile;
    const supply = loadedSupply({
      referenceVolts: nominalReferenceVolts,
      supplyAmps: milliamps.value / 1000,
      referenceOhms: referenceOhms.value,
      returnOhms: returnOhms.value,
    });
    const trueValue = fromShown(value.value, measures, absolute);
    const own = signalFromValue(trueValue, supply.referenceVolts - supply.returnVolts, sensor.profile);
    const signalVolts = own.signalVolts + supply.returnVolts;
    const seen = valueFromSignal(
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
      const shift = seen.value.value - trueValue;
      outcomes.push({
        label: 'The control unit then reads',
        value: formatWithBasis(seen.value.value, measures, absolute),
        note: `${show(Math.abs(shift))} ${shift < 0 ? 'below' : 'above'} the truth${Math.abs(shift) > sensor.profile.differenceThatMatters ? ': it matters.' : ': too little to matter.'}`,
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
            label={`True value in ${unitInWords(measures, absolute)}`}
            value={valueText}
            onChange={(text) => set('value', text)}
            read={value}
          />
        </>
      }
    />
  );
}
