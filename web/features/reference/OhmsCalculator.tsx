import { loadedSupply } from '@lettura/core/machine/circuit';
import { formatValue, formatWithBasis, fromShown, toShown } from '@lettura/core/measure/quantity';
import { valueFromSignal, signalFromValue } from '@lettura/core/measure/transfer';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Calculator, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { ANY, roomAround } from './roomAround.ts';
import { useFields } from './useFields.ts';
import { useSensorChoice } from './useSensorChoice.tsx';
import { t } from '../../ui/words.ts';
import { unitInWords } from '../../ui/unitInWords.ts';

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
        label: t('ui-reference.return-plug'),
        value: t('ui-reference.mv', { returnVolts: (supply.returnVolts * 1000).toFixed(0) }),
        note:
          supply.returnVolts > 0.05
            ? t('ui-reference.more-than-usual-50-mv')
            : t('ui-reference.within-usual-50-mv'),
      },
      { label: t('ui-reference.reference-plug'), value: `${supply.referenceVolts.toFixed(2)} V` },
    );
    if (seen.ok) {
      const shift = seen.value.value - trueValue;
      outcomes.push({
        label: t('ui-reference.control-unit-then-reads'),
        value: formatWithBasis(seen.value.value, measures, absolute),
        note: t('ui-reference.the-truth', {
          shift: show(Math.abs(shift)),
          which: shift < 0 ? 'below' : 'above',
          which2:
            Math.abs(shift) > sensor.profile.differenceThatMatters
              ? t('ui-reference.it-matters')
              : t('ui-reference.too-little-matter'),
        }),
      });
    }
  }
  return (
    <Calculator
      title={t('ui-reference.ohms-supply-wire')}
      outcomes={outcomes}
      about={t('ui-reference.solved-circuit-reference-both-wires')}
      fields={
        <>
          {sensorField}
          <NumberField
            label={t('ui-reference.return-in')}
            value={values.returnOhms}
            onChange={(value) => set('returnOhms', value)}
            read={returnOhms}
          />
          <NumberField
            label={t('ui-reference.reference-wire')}
            value={values.referenceOhms}
            onChange={(value) => set('referenceOhms', value)}
            read={referenceOhms}
          />
          <NumberField
            label={t('ui-reference.sensor-draws-ma')}
            value={values.milliamps}
            onChange={(value) => set('milliamps', value)}
            read={milliamps}
          />
          <NumberField
            label={t('ui-reference.true-value', { unit: unitInWords(measures, absolute) })}
            value={valueText}
            onChange={(text) => set('value', text)}
            read={value}
          />
        </>
      }
    />
  );
}
