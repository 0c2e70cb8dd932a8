import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { PRESSURE_UNITS, type PressureUnit } from '@lettura/core/measure/quantity';
import type { ReactNode } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { Link } from 'react-router';
import { selectTheme, selectUnits, themeChosen, unitsChosen } from './preferences.ts';
import { t } from '../ui/words.ts';

/** The top line of every page: where one is, and the units and theme that hold everywhere. */
export function PageHeader({ title, children }: { title: ReactNode; children?: ReactNode }) {
  const units = useSelector(selectUnits);
  const theme = useSelector(selectTheme);
  const dispatch = useDispatch();
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        // On a phone the choices stand below where one is, instead of squeezing it out.
        flexWrap: { xs: 'wrap', sm: 'nowrap' },
        gap: { xs: 0.75, sm: 1.5 },
        px: 2,
        py: 0.75,
        bgcolor: 'background.paper',
        borderBottom: 2,
        borderColor: 'text.primary',
      }}
    >
      <Button component={Link} to="/" color="inherit" sx={{ fontWeight: 800, fontSize: '1.15rem', px: 1 }}>
        {t('ui-app.lettura')}
      </Button>
      <Typography
        variant="h1"
        sx={{
          flex: { xs: '1 1 60%', sm: 1 },
          minWidth: 0,
          fontSize: '1.1rem',
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {title}
      </Typography>
      {children}
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
        onClick={() => dispatch(themeChosen(theme === 'light' ? 'dim' : 'light'))}
        sx={{ borderColor: 'sheet.rule', whiteSpace: 'nowrap' }}
      >
        {theme === 'light' ? t('ui-app.dim') : t('ui-app.light')}
      </Button>
    </Box>
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
      sx={{ width: 108 }}
    >
      {PRESSURE_UNITS.map((unit) => (
        <MenuItem key={unit} value={unit}>
          {unit}
        </MenuItem>
      ))}
    </TextField>
  );
}
