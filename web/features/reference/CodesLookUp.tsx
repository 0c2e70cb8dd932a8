import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { CodesRead } from '../../ui/CodesRead.tsx';
import { codesFromText } from '../../ui/codesFromText.ts';
import { refused, t } from '../../ui/words.ts';
import { useFields } from './useFields.ts';

const DEFAULTS = { codes: '' };

/** What codes say by their standard, one by one and together. */
export function CodesLookUp() {
  const { values, set } = useFields(DEFAULTS);
  const read = codesFromText.safeParse(values.codes);
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 720 }}>
      <TextField
        label={t('ui-reference.codes')}
        value={values.codes}
        onChange={({ target }) => set('codes', target.value)}
        error={!read.success}
        helperText={read.success ? t('ui-reference.codes-separated') : refused(read.error.issues[0]?.message)}
        slotProps={{ htmlInput: { maxLength: 200, autoCapitalize: 'characters', spellCheck: false } }}
      />
      {read.success && <CodesRead codes={read.data} />}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {t('ui-reference.codes-from-memory')}
      </Typography>
    </Box>
  );
}
