import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { useDraft } from './useInHand.ts';
import { t } from '../../ui/words.ts';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '−', '0', '.'] as const;

export interface KeypadProps {
  jobId: string;
  /** What the instrument may well show here beside a bare number: it gets a key of its own. */
  unit: 'mV' | 'Hz' | '%' | undefined;
  /** As wide as what it stands in. */
  wide?: boolean;
  onDraft: (draft: string) => void;
  onSave: (draft: string) => void;
}

/** Big keys for a gloved hand; they type into the same line as the keyboard. */
export const Keypad = memo(function Keypad({ jobId, unit, wide = false, onDraft, onSave }: KeypadProps) {
  const draft = useDraft(jobId);
  return (
    <Box
      role="group"
      aria-label={t('ui-sheet.keypad')}
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(4, minmax(48px, 1fr))',
        gap: 0.75,
        width: wide ? '100%' : 244,
      }}
    >
      {KEYS.map((key, i) => (
        <Box key={key} sx={{ gridColumn: (i % 3) + 1, gridRow: Math.floor(i / 3) + 1, display: 'grid' }}>
          <Key onPress={() => onDraft(draft + key)}>{key}</Key>
        </Box>
      ))}
      <Box sx={{ gridColumn: 4, gridRow: 1, display: 'grid' }}>
        <Key label={t('ui-sheet.delete-last-character')} onPress={() => onDraft(draft.slice(0, -1))}>
          ⌫
        </Key>
      </Box>
      <Box sx={{ gridColumn: 4, gridRow: 2, display: 'grid' }}>
        {unit ? (
          <Key onPress={() => onDraft(`${draft.replace(/\s*(?:m?V|k?Hz|%)$/iu, '')} ${unit}`)}>{unit}</Key>
        ) : (
          <Key label={t('ui-sheet.clear')} onPress={() => onDraft('')}>
            C
          </Key>
        )}
      </Box>
      <Box sx={{ gridColumn: 4, gridRow: '3 / span 2', display: 'grid' }}>
        <Button variant="contained" onClick={() => onSave(draft)} sx={{ minWidth: 0, px: 0.5 }}>
          {t('ui-sheet.save')}
        </Button>
      </Box>
    </Box>
  );
});

function Key({ children, label, onPress }: { children: string; label?: string; onPress: () => void }) {
  return (
    <Button
      variant="outlined"
      color="inherit"
      aria-label={label}
      onClick={onPress}
      sx={{ minWidth: 0, minHeight: 48, fontSize: '1.1rem', borderColor: 'sheet.rule' }}
    >
      {children}
    </Button>
  );
}
