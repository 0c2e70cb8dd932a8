import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { shownUnit } from '@lettura/core/measure/quantity';
import { BIASES, type Bias } from '@lettura/core/measure/transfer';
import { bound, type FieldsProps } from './fieldProps.ts';
import { TOLERANCE_FORMS, type ToleranceText } from './toleranceText.ts';
import { t } from '../../ui/words.ts';

const FORM_WORDS: Record<ToleranceText['form'], string> = {
  'plus-minus': t('ui-sensors.same-everywhere'),
  'of-span': t('ui-sensors.in-of-the-span'),
  'of-value': t('ui-sensors.in-of-the-value'),
  'temperature-band': t('ui-sensors.widening-temperature'),
};

/** Tolerance, circuit limits and bias: what tells right from wrong. */
export function LimitFields(props: FieldsProps) {
  const { text, change, problems } = props;
  const { tolerance } = text;
  const unit = shownUnit(text.measures, text.unit);
  const set = (part: Partial<ToleranceText>) => change({ tolerance: { ...tolerance, ...part } });
  const inPercent = tolerance.form === 'of-span' || tolerance.form === 'of-value';
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <TextField
          select
          label={t('ui-sensors.the-tolerance-is')}
          value={tolerance.form}
          onChange={(event) => set({ form: event.target.value as ToleranceText['form'] })}
        >
          {TOLERANCE_FORMS.map((form) => (
            <MenuItem key={form} value={form}>
              {FORM_WORDS[form]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label={t('ui-sensors.tolerance', { which: inPercent ? '%' : unit })}
          value={tolerance.size}
          onChange={(event) => set({ size: event.target.value })}
          error={problems.tolerance !== undefined}
          helperText={problems.tolerance}
        />
        {tolerance.form === 'of-value' && (
          <TextField
            label={t('ui-sensors.but-least', { unit })}
            value={tolerance.atLeast}
            onChange={(event) => set({ atLeast: event.target.value })}
          />
        )}
      </Box>
      {tolerance.form === 'temperature-band' && (
        <TextField
          label={t('ui-sensors.times-wide-c-factor-one')}
          value={tolerance.multipliers}
          onChange={(event) => set({ multipliers: event.target.value })}
          multiline
          rows={4}
        />
      )}
      <TextField
        {...bound(props, 'matters', t('ui-sensors.difference-matters-empty-twice-tolerance', { unit }))}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <TextField {...bound(props, 'circuitLow', t('ui-sensors.circuit-low-below-v'))} />
        <TextField {...bound(props, 'circuitHigh', t('ui-sensors.circuit-high-above-v'))} />
        <TextField {...bound(props, 'outputLow', t('ui-sensors.output-goes-down-v-if'))} />
        <TextField {...bound(props, 'outputHigh', t('ui-sensors.output-goes-up-v-if'))} />
        <TextField {...bound(props, 'supplyLow', t('ui-sensors.made-supply-v-if-known'))} />
        <TextField {...bound(props, 'supplyHigh', t('ui-sensors.up-v'))} />
      </Box>
      <TextField
        select
        label={t('ui-sensors.open-input-control-unit')}
        value={text.bias}
        onChange={(event) => change({ bias: event.target.value as Bias })}
      >
        {BIASES.map((bias) => (
          <MenuItem key={bias} value={bias}>
            {bias}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}
