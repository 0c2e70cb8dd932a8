import Typography from '@mui/material/Typography';

/** Shown where the work is, short, and never as a wall. */
export function Cautions({ cautions }: { cautions: readonly string[] }) {
  return cautions.map((caution) => (
    <Typography key={caution} variant="body2" sx={{ color: 'warning.main', fontWeight: 600 }}>
      ⚠ {caution}
    </Typography>
  ));
}
