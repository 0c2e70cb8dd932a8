import Typography from '@mui/material/Typography';
import { type Message } from '@lettura/core/measure/message';
import { Said } from './Said.tsx';

/** Shown where the work is, short, and never as a wall. */
export function Cautions({ cautions }: { cautions: readonly Message[] }) {
  return cautions.map((caution) => (
    <Typography key={caution.code} variant="body2" sx={{ color: 'warning.main', fontWeight: 600 }}>
      ⚠ <Said message={caution} />
    </Typography>
  ));
}
