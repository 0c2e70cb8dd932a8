import {
  pairDeviation,
  PAIR_LIMIT_PERCENT_OF_REFERENCE,
  type PairLaw,
} from '@lettura/core/measure/positionPair';
import { Calculator, ChoiceField, chosen, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { useFields } from './useFields.ts';
import { t } from '../../ui/words.ts';

const DEFAULTS = {
  law: 'mirrored',
  first: '0.80',
  second: '4.20',
  reference: '5.00',
  ratio: '2',
  offset: '0',
};
const LAWS = [
  { value: 'mirrored', label: t('ui-reference.mirrored-sum-reference') },
  { value: 'ratio', label: t('ui-reference.ratio-track-1-many-times') },
] as const;
const VOLTS = { lowest: 0, highest: 16, unit: 'V' };

/** Whether two tracks of a position sensor belong together at one angle. */
export function PairCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const law = chosen(
    values.law,
    LAWS.map(({ value }) => value),
  );
  const first = fieldNumber(values.first, VOLTS);
  const second = fieldNumber(values.second, VOLTS);
  const reference = fieldNumber(values.reference, { lowest: 3, highest: 16, unit: 'V' });
  const ratio = fieldNumber(values.ratio, { lowest: 0.1, highest: 10, unit: '' });
  const offset = fieldNumber(values.offset, { lowest: -5, highest: 5, unit: 'V' });
  const pair: PairLaw | undefined =
    law === 'mirrored'
      ? { law }
      : ratio.ok && offset.ok
        ? { law, ratio: ratio.value, offsetVolts: offset.value }
        : undefined;
  const outcomes: Outcome[] = [];
  if (first.ok && second.ok && reference.ok && pair) {
    const { expectedSecondVolts, deviationVolts, deviationPercentOfReference } = pairDeviation(
      first.value,
      second.value,
      reference.value,
      pair,
    );
    const out = Math.abs(deviationPercentOfReference) > PAIR_LIMIT_PERCENT_OF_REFERENCE;
    outcomes.push(
      { label: t('ui-reference.track-2-should-read'), value: `${expectedSecondVolts.toFixed(3)} V` },
      {
        label: t('ui-reference.it-is-off-by'),
        value: t('ui-reference.mv-2', { deviationVolts: (deviationVolts * 1000).toFixed(0) }),
        note: t('ui-reference.reference-usual-limit-common-practice', {
          deviationPercentOfReference: Math.abs(deviationPercentOfReference).toFixed(1),
          which: out ? t('ui-reference.out-step') : t('ui-reference.in-step'),
          pairlimitpercentofreference: PAIR_LIMIT_PERCENT_OF_REFERENCE,
        }),
      },
    );
  }
  return (
    <Calculator
      title={t('ui-reference.track-pair')}
      outcomes={outcomes}
      about={t('ui-reference.read-both-tracks-same-moment')}
      fields={
        <>
          <ChoiceField
            label={t('ui-reference.law')}
            value={law}
            options={LAWS}
            onChange={(value) => set('law', value)}
          />
          <NumberField
            label={t('ui-reference.track-1-v')}
            value={values.first}
            onChange={(value) => set('first', value)}
            read={first}
          />
          <NumberField
            label={t('ui-reference.track-2-v')}
            value={values.second}
            onChange={(value) => set('second', value)}
            read={second}
          />
          <NumberField
            label={t('ui-reference.reference-v')}
            value={values.reference}
            onChange={(value) => set('reference', value)}
            read={reference}
          />
          {law === 'ratio' && (
            <>
              <NumberField
                label={t('ui-reference.ratio')}
                value={values.ratio}
                onChange={(value) => set('ratio', value)}
                read={ratio}
              />
              <NumberField
                label={t('ui-reference.offset-v')}
                value={values.offset}
                onChange={(value) => set('offset', value)}
                read={offset}
              />
            </>
          )}
        </>
      }
    />
  );
}
