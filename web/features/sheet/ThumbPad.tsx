import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useDispatch, useSelector } from 'react-redux';
import { keypadShown, selectKeypad } from '../../app/preferences.ts';
import { t } from '../../ui/words.ts';
import { Keypad, type KeypadProps } from './Keypad.tsx';

/** The keypad below the line that it types into, within reach of the thumb; put away where words are typed. */
export function ThumbPad(props: Omit<KeypadProps, 'wide'>) {
  const shown = useSelector(selectKeypad);
  const dispatch = useDispatch();
  return (
    <Box sx={{ maxWidth: 520, mx: 'auto' }}>
      <Button
        fullWidth
        size="small"
        color="inherit"
        aria-expanded={shown}
        onClick={() => dispatch(keypadShown(!shown))}
        sx={{ minHeight: 48 }}
      >
        {shown ? t('ui-sheet.hide-keypad') : t('ui-sheet.show-keypad')}
      </Button>
      {shown && <Keypad {...props} wide />}
    </Box>
  );
}
