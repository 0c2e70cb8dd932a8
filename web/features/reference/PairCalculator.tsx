import {
  pairDeviation,
  PAIR_LIMIT_PERCENT_OF_REFERENCE,
  type PairLaw,
} from '@lettura/core/measure/positionPair';
import { Calculator, ChoiceField, chosen, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { useFields } from './useFields.ts';

const DEFAULTS = {
  law: 'mirrored',
  first: '0.80',
  second: '4.20',
  reference: '5.00',
  ratio: '2',
  offset: '0',
};
const LAWS = [
  { value: 'mirrored', label: 'Mirrored: the sum is the reference' },
  { value: 'ratio', label: 'Ratio: track 1 is so many times track 2' },
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
      { label: 'Track 2 should read', value: `${expectedSecondVolts.toFixed(3)} V` },
      {
        label: 'It is off by',
        value: `${(deviationVolts * 1000).toFixed(0)} mV`,
        note: `${Math.abs(deviationPercentOfReference).toFixed(1)} % of the reference: ${out ? '✕ out of step' : '✓ in step'} by the usual limit of ${PAIR_LIMIT_PERCENT_OF_REFERENCE} % (common practice).`,
      },
    );
  }
  return (
    <Calculator
      title="Track pair"
      outcomes={outcomes}
      about="Read both tracks at the same moment, at rest, half way and at the stop. A fault at one angle only needs a recorded sweep."
      fields={
        <>
          <ChoiceField label="Law" value={law} options={LAWS} onChange={(value) => set('law', value)} />
          <NumberField
            label="Track 1 in V"
            value={values.first}
            onChange={(value) => set('first', value)}
            read={first}
          />
          <NumberField
            label="Track 2 in V"
            value={values.second}
            onChange={(value) => set('second', value)}
            read={second}
          />
          <NumberField
            label="Reference in V"
            value={values.reference}
            onChange={(value) => set('reference', value)}
            read={reference}
          />
          {law === 'ratio' && (
            <>
              <NumberField
                label="Ratio"
                value={values.ratio}
                onChange={(value) => set('ratio', value)}
                read={ratio}
              />
              <NumberField
                label="Offset in V"
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
