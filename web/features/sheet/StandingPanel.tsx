import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Finding, Gate, WeighedCause, Weighing } from '@lettura/core/reasoning';
import { NUMERALS } from '../../app/theme.ts';
import { classInWords } from '../../ui/inWords.ts';

/** Causes that the readings have all but ruled out are not worth the eye’s time. */
const WORTH_SHOWING = 0.03;
const MOST_SHOWN = 4;

/** The ranked causes, what speaks for and against each, and what is missing before one may be named. */
export function StandingPanel({ weighing }: { weighing: Weighing }) {
  const { causes, gate, verdict, remarks, disagreements } = weighing;
  const shown = causes.filter(({ share }, i) => i === 0 || share >= WORTH_SHOWING).slice(0, MOST_SHOWN);
  return (
    <Box component="section" aria-label="Standing">
      <Typography variant="h2" component="h2">
        Standing: {verdict.decided ? 'proven' : 'not proven yet'}
      </Typography>
      {disagreements.map(({ sentence }) => (
        <Typography key={sentence} sx={{ color: 'standing.faulty', fontWeight: 600, mt: 0.5 }}>
          ✕ {sentence}
        </Typography>
      ))}
      {shown.length === 0 && disagreements.length === 0 && (
        <Typography>No reading says anything yet. Start with the next reading.</Typography>
      )}
      <Box component="ol" aria-label="Causes, likeliest first" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shown.map((cause, i) => (
          <Cause key={cause.cause} cause={cause} leading={i === 0} />
        ))}
      </Box>
      {gate && causes[0] && <GateList gate={gate} title={causes[0].title} />}
      {remarks.map(({ sentence }) => (
        <Typography key={sentence} variant="body2" sx={{ mt: 0.5 }}>
          Note: {sentence}
        </Typography>
      ))}
    </Box>
  );
}

function Cause({ cause, leading }: { cause: WeighedCause; leading: boolean }) {
  const percent = Math.min(99, Math.round(cause.share * 100));
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <details open={leading}>
        <Box
          component="summary"
          sx={{ cursor: 'pointer', minHeight: 32, display: 'flex', alignItems: 'center', gap: 1 }}
        >
          <Box component="span" sx={{ fontFamily: NUMERALS, fontWeight: 700, width: 44, textAlign: 'right' }}>
            {percent < 1 ? '<1' : percent} %
          </Box>
          <Box component="span" sx={{ flex: 1, fontWeight: leading ? 700 : 500, lineHeight: 1.2 }}>
            {cause.title}
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
          <Sentences word="For" findings={cause.speaksFor} />
          <Sentences word="Against" findings={cause.speaksAgainst} />
          {cause.speaksFor.length + cause.speaksAgainst.length === 0 && (
            <Typography variant="body2">No reading speaks for or against it yet.</Typography>
          )}
        </Box>
      </details>
    </Box>
  );
}

const Sentences = ({ word, findings }: { word: string; findings: Finding[] }) => (
  <>
    {findings.map(({ check, sentence }) => (
      <Typography key={check} variant="body2">
        <strong>{word}:</strong> {sentence}
      </Typography>
    ))}
  </>
);

const GATE_MARK = { proven: '✓', missing: '○', refuted: '✕' } as const;
const GATE_WORD = { proven: 'shown', missing: 'still to show', refuted: 'does not hold' } as const;
const GATE_COLOUR = {
  proven: 'standing.proven',
  missing: 'text.primary',
  refuted: 'standing.faulty',
} as const;

export function GateList({ gate, title }: { gate: Gate; title: string }) {
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 0.5 }}>
      <Typography variant="h3" component="h3">
        Before “{title}” may be named
      </Typography>
      <Box component="ul" aria-label="Proof" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {gate.items.map(({ label, state }) => (
          <Typography key={label} component="li" variant="body2" sx={{ color: GATE_COLOUR[state] }}>
            {GATE_MARK[state]} {label}: {GATE_WORD[state]}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
