import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { PRESSURE_UNITS, type PressureUnit } from '@lettura/core/measure/quantity';
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

function UnitChoice({ label, value, onChoose }: UnitChoiceProps) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value as PressureUnit)}
      sx={{ width: { xs: '100%', sm: 108 } }}
    >
      {PRESSURE_UNITS.map((unit) => (
        <MenuItem key={unit} value={unit}>
          {unit}
        </MenuItem>
      ))}
    </TextField>
  );
}
