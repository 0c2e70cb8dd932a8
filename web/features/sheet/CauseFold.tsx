import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Statement, Strength, WeighedCause } from '@lettura/core/judge/weighing';
import { memo } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { classInWords } from '../../ui/inWords.ts';
import { shownPercent } from './shownPercent.ts';
import { Fold } from '../../ui/Fold.tsx';
import { Said } from '../../ui/Said.tsx';
import { list, say } from '@lettura/core/measure/message';
import { timesInWords } from '../../ui/numbersInWords.ts';
import { t } from '../../ui/words.ts';

interface CauseFoldProps {
  cause: WeighedCause;
  leading: boolean;
  told: boolean;
}

export const CauseFold = memo(function CauseFold({ cause, leading, told }: CauseFoldProps) {
  const { kinds, speaksFor, speaksAgainst } = cause;
  const more = speaksFor.slice(1).length + speaksAgainst.slice(1).length;
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <details open={leading}>
        <Box
          component="summary"
          sx={{ cursor: 'pointer', minHeight: 32, display: 'flex', alignItems: 'center', gap: 1 }}
        >
          <Box component="span" sx={{ fontFamily: NUMERALS, fontWeight: 700, width: 44, textAlign: 'right' }}>
            {shownPercent(cause.share)}
          </Box>
          <Box component="span" sx={{ flex: 1, fontWeight: leading ? 700 : 500, lineHeight: 1.2 }}>
            <Said message={cause.title} />
          </Box>
          <Box component="span" sx={{ fontSize: '0.8rem', color: 'text.secondary', whiteSpace: 'nowrap' }}>
            {classInWords(cause.class)}
          </Box>
        </Box>
        <Box
          aria-hidden="true"
          sx={{
            height: 5,
            ml: '52px',
            bgcolor: 'sheet.inset',
            border: 1,
            borderColor: 'sheet.rule',
            borderRadius: 1,
          }}
        >
          <Box sx={{ height: '100%', width: `${cause.share * 100}%`, bgcolor: 'text.primary' }} />
        </Box>
        <Box sx={{ pl: '52px', pt: 0.5 }}>
          {kinds.length > 0 && cause.class !== 'physical' && (
            <Typography variant="body2">
              {t('ui-sheet.most-like')}{' '}
              <Said
                message={say('standing.kinds', {
                  kinds: list(
                    kinds.map(({ name }) => name),
                    'or',
                  ),
                })}
              />
              .
            </Typography>
          )}
          {/* The strongest on either side first; all of it is a tap away. */}
          <Statements word={t('ui-sheet.for')} statements={speaksFor.slice(0, 1)} />
          <Statements word={t('ui-sheet.against')} statements={speaksAgainst.slice(0, 1)} />
          {more > 0 && (
            <Fold summary={t('ui-sheet.more-reasons', { count: more })}>
              <Statements word={t('ui-sheet.for')} statements={speaksFor.slice(1)} />
              <Statements word={t('ui-sheet.against')} statements={speaksAgainst.slice(1)} />
            </Fold>
          )}
          {told && speaksFor.length + speaksAgainst.length === 0 && (
            <Typography variant="body2">{t('ui-sheet.no-reading-speaks-against-yet')}</Typography>
          )}
        </Box>
      </details>
    </Box>
  );
});

const STRENGTH_WORDS: Record<Strength, string> = {
  decides: t('ui-sheet.decides'),
  strong: t('ui-sheet.strong'),
  some: t('ui-sheet.some'),
};

const Statements = ({ word, statements }: { word: string; statements: readonly Statement[] }) =>
  statements.map(({ readingId, sentence, strength, factor }) => (
    <Typography
      key={readingId}
      variant="body2"
      title={t('ui-sheet.as-likely-it', {
        times: timesInWords(factor > 1 ? factor : 1 / factor),
        with: factor > 1,
      })}
    >
      <strong>{word}</strong>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {' '}
        ({STRENGTH_WORDS[strength]})
      </Box>
      : <Said message={sentence} />
    </Typography>
  ));
