import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ProbePoint } from '@lettura/core/machine/places';
import { keyOf, type PointChoice } from './benchPoints.ts';

export interface PointSelectProps {
  label: string;
  points: readonly PointChoice[];
  value: ProbePoint;
  onChange: (point: ProbePoint) => void;
}

/** Where a probe or clip goes. */
export function PointSelect({ label, points, value, onChange }: PointSelectProps) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={keyOf(value)}
      onChange={(event) => {
        const chosen = points.find(({ key }) => key === event.target.value);
        if (chosen) onChange(chosen.point);
      }}
      sx={{ minWidth: 190, flex: '1 1 190px' }}
    >
      {points.map(({ key, words }) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
