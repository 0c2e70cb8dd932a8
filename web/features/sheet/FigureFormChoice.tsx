import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { t } from '../../ui/words.ts';
import { FIGURE_FORMS, formExample, type FigureForm } from './figureDigits.ts';

interface FigureFormChoiceProps {
  form: FigureForm;
  choose: (form: FigureForm) => void;
}

/** Whether the point is typed, or the digits of the meter alone. */
export function FigureFormChoice({ form, choose }: FigureFormChoiceProps) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={t('ui-sheet.how-figures-are-typed')}
      value={form}
      onChange={(_event, to: FigureForm | null) => to && choose(to)}
    >
      {FIGURE_FORMS.map((one) => (
        <ToggleButton key={one} value={one} sx={{ textTransform: 'none' }}>
          {one === 'as-typed'
            ? t('ui-sheet.figures-as-typed')
            : t('ui-sheet.figures-by-digits', formExample(one))}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
