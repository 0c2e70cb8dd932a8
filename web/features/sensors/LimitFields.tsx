import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { shownUnit } from '@lettura/core/measure/quantity';
import { BIASES, type Bias } from '@lettura/core/measure/transfer';
import { bound, type FieldsProps } from './fieldProps.ts';
import { TOLERANCE_FORMS, type ToleranceText } from './toleranceText.ts';

const FORM_WORDS: Record<ToleranceText['form'], string> = {
  'plus-minus': 'the same everywhere',
  'of-span': 'in % of the span',
  'of-value': 'in % of the value',
  'temperature-band': 'widening with temperature',
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
          label="The tolerance is"
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
          label={`Tolerance, ± ${inPercent ? '%' : unit}`}
          value={tolerance.size}
          onChange={(event) => set({ size: event.target.value })}
          error={problems.tolerance !== undefined}
          helperText={problems.tolerance}
        />
        {tolerance.form === 'of-value' && (
          <TextField
            label={`But at least, ± ${unit}`}
            value={tolerance.atLeast}
            onChange={(event) => set({ atLeast: event.target.value })}
          />
        )}
      </Box>
      {tolerance.form === 'temperature-band' && (
        <TextField
          label="Times as wide: °C and factor, one pair a line"
          value={tolerance.multipliers}
          onChange={(event) => set({ multipliers: event.target.value })}
          multiline
          rows={4}
        />
      )}
      <TextField
        {...bound(props, 'matters', `A difference that matters, ${unit} (empty: twice the tolerance)`)}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <TextField {...bound(props, 'circuitLow', 'Circuit low below, V')} />
        <TextField {...bound(props, 'circuitHigh', 'Circuit high above, V')} />
        <TextField {...bound(props, 'outputLow', 'Output goes down to, V (if known)')} />
        <TextField {...bound(props, 'outputHigh', 'Output goes up to, V (if known)')} />
        <TextField {...bound(props, 'supplyLow', 'Made for a supply from, V (if known)')} />
        <TextField {...bound(props, 'supplyHigh', 'up to, V')} />
      </Box>
      <TextField
        select
        label="Open input at the control unit"
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
