import Button from '@mui/material/Button';
import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import NativeSelect from '@mui/material/NativeSelect';
import OutlinedInput from '@mui/material/OutlinedInput';
import { PRESSURE_UNITS, type PressureUnit } from '@lettura/core/measure/quantity';
import { useId } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import {
  selectTextSize,
  selectTheme,
  selectUnits,
  textSizeAfter,
  textSizeChosen,
  themeChosen,
  unitsChosen,
  type TextSize,
} from './preferences.ts';
import { themeAfter } from './theme.ts';
import { t } from '../ui/words.ts';

/** What the next size looks like. */
const LETTERS: Record<TextSize, string> = { usual: 'A', larger: 'A+', largest: 'A++' };

export function Choices() {
  const units = useSelector(selectUnits);
  const theme = useSelector(selectTheme);
  const textSize = useSelector(selectTextSize);
  const dispatch = useDispatch();
  return (
    <>
      <UnitChoice
        label={t('ui-app.absolute-in')}
        value={units.absolute}
        onChoose={(absolute) => dispatch(unitsChosen({ absolute }))}
      />
      <UnitChoice
        label={t('ui-app.vacuum-in')}
        value={units.vacuum}
        onChoose={(vacuum) => dispatch(unitsChosen({ vacuum }))}
      />
      <Button
        color="inherit"
        variant="outlined"
        aria-label={t('ui-app.text-size', { size: textSizeAfter(textSize) })}
        title={t('ui-app.text-size', { size: textSizeAfter(textSize) })}
        onClick={() => dispatch(textSizeChosen(textSizeAfter(textSize)))}
        sx={{ borderColor: 'sheet.rule', minWidth: 48, px: 1 }}
      >
        <span aria-hidden="true">{LETTERS[textSizeAfter(textSize)]}</span>
      </Button>
      <Button
        color="inherit"
        variant="outlined"
        onClick={() => dispatch(themeChosen(themeAfter(theme)))}
        sx={{ borderColor: 'sheet.rule', whiteSpace: 'nowrap' }}
      >
        {t(`ui-app.${themeAfter(theme)}`)}
      </Button>
    </>
  );
}

interface UnitChoiceProps {
  label: string;
  value: PressureUnit;
  onChoose: (unit: PressureUnit) => void;
}

/** The list of the device itself: a thumb knows it, and it weighs nothing. */
function UnitChoice({ label, value, onChoose }: UnitChoiceProps) {
  const id = useId();
  return (
    <FormControl size="small" sx={{ width: { xs: '100%', sm: 108 } }}>
      <InputLabel htmlFor={id}>{label}</InputLabel>
      <NativeSelect
        id={id}
        value={value}
        onChange={(event) => onChoose(event.target.value as PressureUnit)}
        input={<OutlinedInput label={label} />}
      >
        {PRESSURE_UNITS.map((unit) => (
          <option key={unit} value={unit}>
            {unit}
          </option>
        ))}
      </NativeSelect>
    </FormControl>
  );
}
