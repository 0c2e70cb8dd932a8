import { formatValue, formatWithBasis, fromShown, toShown } from '@lettura/core/measure/quantity';
import { signalFromValue, toleranceAt, valueFromSignal } from '@lettura/core/measure/transfer';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Calculator, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { ANY, roomAround } from './roomAround.ts';
import { useFields } from './useFields.ts';
import { useSensorChoice } from './useSensorChoice.tsx';
import { t } from '../../ui/words.ts';
import { unitInWords } from '../../ui/unitInWords.ts';

const DEFAULTS = { sensor: '', reference: '5.00', volts: '2.50', value: '' };
const VOLTS = { lowest: 0, highest: 16, unit: 'V' };

/** Volts to what is measured and back, for any sensor in the library at any reference. */
export function SensorCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const { absolute } = useSelector(selectUnits);
  const { sensor, field: sensorField } = useSensorChoice(values.sensor, (id) => set('sensor', id));
  const reference = fieldNumber(values.reference, VOLTS);
  const volts = fieldNumber(values.volts, VOLTS);
  const { measures, lowest, highest } = sensor?.profile ?? ANY;
  const middle = toShown((lowest + highest) / 2, measures, absolute);
  const valueText = values.value === '' ? middle.toPrecision(3) : values.value;
  const value = fieldNumber(valueText, roomAround(lowest, highest, measures, absolute));
  const show = (given: number) => formatWithBasis(given, measures, absolute);
  const outcomes: Outcome[] = [];
  let supply: ReturnType<typeof valueFromSignal> | undefined;
  if (sensor && reference.ok && volts.ok) {
    supply = valueFromSignal(
      { signalVolts: volts.value, referenceVolts: reference.value, returnVolts: 0 },
      sensor.profile,
    );
    if (supply.ok) {
      outcomes.push({
        label: t('ui-reference.v-is', { volts: values.volts }),
        value: show(supply.value.value),
        note: supply.value.extrapolated
          ? t('ui-reference.outside-sensors-range-nothing-made')
          : t('ui-reference.sensors-tolerance', {
              toleranceAt: formatValue(toleranceAt(supply.value.value, sensor.profile), measures, absolute),
            }),
      });
    }
  }
  if (sensor && reference.ok && value.ok && supply?.ok) {
    const back = signalFromValue(fromShown(value.value, measures, absolute), reference.value, sensor.profile);
    outcomes.push({
      label: t('ui-reference.is', { valueText, unit: unitInWords(measures, absolute) }),
      value: `${back.signalVolts.toFixed(3)} V`,
      ...(back.extrapolated ? { note: t('ui-reference.outside-sensors-range') } : {}),
    });
  }
  return (
    <Calculator
      title={t('ui-reference.volts-value')}
      outcomes={outcomes}
      about={sensor ? t('ui-reference.volts-against-sensors-return-makers', { source: sensor.source }) : ''}
      fields={
        <>
          {sensorField}
          <NumberField
            label={t('ui-reference.reference-v')}
            value={values.reference}
            onChange={(value) => set('reference', value)}
            read={supply && !supply.ok ? supply : reference}
          />
          <NumberField
            label={t('ui-reference.signal-v')}
            value={values.volts}
            onChange={(value) => set('volts', value)}
            read={volts}
          />
          <NumberField
            label={t('ui-reference.value-in', { unit: unitInWords(measures, absolute) })}
            value={valueText}
            onChange={(text) => set('value', text)}
            read={value}
          />
        </>
      }
    />
  );
}
