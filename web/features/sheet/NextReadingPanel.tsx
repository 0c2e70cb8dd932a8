import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { NextReading, Weighing } from '@lettura/core/reasoning';
import { Cautions } from '../../ui/Cautions.tsx';
import { briefState, placeInWords, upperFirst } from '../../ui/inWords.ts';

export interface NextReadingPanelProps {
  weighing: Weighing;
  onGo: (next: NextReading) => void;
}

/** Where to read next, why, and what each answer would mean, before the probe is moved. */
export function NextReadingPanel({ weighing: { next, verdict }, onGo }: NextReadingPanelProps) {
  return (
    <Box component="section" aria-label="Next reading">
      {next ? (
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
              Next: {placeInWords(next.target).toLowerCase()}
            </Typography>
            <Button variant="contained" onClick={() => onGo(next)} aria-keyshortcuts="Alt+N" title="Alt+N">
              Go there
            </Button>
          </Box>
          <Typography variant="body2">
            {upperFirst(briefState(next.state))} · about {next.minutes} min. {next.question}
          </Typography>
          <Typography variant="body2">{next.why}</Typography>
          <Box component="ul" aria-label="What each answer would mean" sx={{ pl: 2.25, my: 0.5 }}>
            {next.answers.map(({ outcome, then }) => (
              <Typography key={outcome} component="li" variant="body2">
                <strong>{outcome}</strong> → {then}
              </Typography>
            ))}
          </Box>
          <Typography variant="body2">{next.how}</Typography>
          <Cautions cautions={next.cautions} />
        </>
      ) : (
        <>
          <Typography variant="h2" component="h2">
            {verdict.decided ? 'Nothing more to read' : 'No reading left that would settle it'}
          </Typography>
          <Typography variant="body2">
            {verdict.decided
              ? 'Record the verdict. After the repair take the same readings again, clear the codes and re-read them.'
              : 'Take the doubtful readings again, or record the job as not proven yet.'}
          </Typography>
        </>
      )}
    </Box>
  );
}
