import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { SweepFinding } from '@lettura/core/recording/sweep';
import { noFaultInWords } from './noFaultInWords.ts';
import { Said } from '../../ui/Said.tsx';

export interface FindingListProps {
  findings: readonly SweepFinding[];
  marked?: SweepFinding | undefined;
  /** Brings the plot to it; paper has no plot. */
  onShow?: ((finding: SweepFinding) => void) | undefined;
}

/** Each finding as a sentence; a tap brings its place into view. */
export function FindingList({ findings, marked, onShow }: FindingListProps) {
  const none = noFaultInWords(findings);
  if (none !== undefined)
    return (
      <>
        <Typography sx={{ my: 0.5 }}>
          <strong>{none}</strong>
        </Typography>
        <Notes {...{ findings, marked, onShow }} />
      </>
    );
  return <Notes {...{ findings, marked, onShow }} />;
}

function Notes({ findings, marked, onShow }: FindingListProps) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {findings.map((finding) => {
        const words = (
          <Typography component="span">
            <strong>{finding.weight === 'fault' ? '✕ ' : finding.kind === 'question' ? '? ' : '· '}</strong>
            <Said message={finding.sentence} />
          </Typography>
        );
        return (
          <Box component="li" key={JSON.stringify(finding)} sx={{ borderTop: 1, borderColor: 'divider' }}>
            {onShow ? (
              <ButtonBase
                aria-pressed={finding === marked}
                onClick={() => onShow(finding)}
                sx={{
                  width: '100%',
                  minHeight: 44,
                  py: 0.75,
                  px: 0.5,
                  justifyContent: 'flex-start',
                  textAlign: 'left',
                  bgcolor: finding === marked ? 'sheet.inset' : 'transparent',
                }}
              >
                {words}
              </ButtonBase>
            ) : (
              words
            )}
          </Box>
        );
      })}
    </Box>
  );
}
