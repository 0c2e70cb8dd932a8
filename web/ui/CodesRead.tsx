import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { readCode, readTogether } from '@lettura/core/record/code';
import { Fold } from './Fold.tsx';
import { Said } from './Said.tsx';
import { t } from './words.ts';

/** Codes in words: what several of them say together first, then each with what it can be and what it does not say. */
export function CodesRead({ codes }: { codes: readonly string[] }) {
  if (codes.length === 0) return null;
  const each = [...new Set(codes)].map(readCode);
  return (
    <Box component="section" aria-label={t('ui.codes-read')}>
      {readTogether(codes).map((together) => (
        <Typography key={JSON.stringify(together)} sx={{ fontWeight: 600, mb: 0.5 }}>
          <Said message={together} />
        </Typography>
      ))}
      <Box component="dl" sx={{ m: 0, display: 'grid', gap: 0.75 }}>
        {each.map(({ code, saw, means, notSaid }) => (
          <Box key={code}>
            <Typography component="dt" sx={{ fontWeight: 700 }}>
              {code}
            </Typography>
            <Typography component="dd" variant="body2" sx={{ m: 0 }}>
              <Said message={saw} /> {notSaid && <Said message={notSaid} />}
            </Typography>
            {means && (
              <Typography component="dd" variant="body2" sx={{ m: 0 }}>
                <strong>{t('ui.codes-can-be')}</strong> <Said message={means} />
              </Typography>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** The same beside a field that codes are typed into: there at a press, and no longer than a line before. */
export const CodesFold = ({ codes }: { codes: readonly string[] }) =>
  codes.length > 0 && (
    <Fold summary={t('ui.codes-mean', { count: new Set(codes).size })}>
      <CodesRead codes={codes} />
    </Fold>
  );
