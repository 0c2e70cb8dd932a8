import Box from '@mui/material/Box';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import Typography from '@mui/material/Typography';
import type { Sensor } from '@lettura/contract';
import { FAMILIES, FAMILY_IDS } from '@lettura/core/machine/family';
import { memo } from 'react';
import { Link } from 'react-router';
import { Said } from '../../ui/Said.tsx';
import { said, t } from '../../ui/words.ts';

/** Nobody reads further down than this; another word in the search gets there sooner. */
const MOST_SHOWN = 40;

/** Sensors under the names of their families. */
export const SensorList = memo(function SensorList({
  sensors,
  current,
}: {
  sensors: readonly Sensor[];
  current: string | undefined;
}) {
  const shown = sensors.slice(0, MOST_SHOWN);
  const left = sensors.length - shown.length;
  return (
    <Box
      component="nav"
      aria-label={t('ui-sensors.sensors')}
      sx={{ maxHeight: { sm: 620 }, overflowY: { sm: 'auto' } }}
    >
      {FAMILY_IDS.filter((family) => shown.some((one) => one.family === family)).map((family) => (
        <Box key={family} role="group" aria-label={said(FAMILIES[family].words)}>
          <Typography variant="body2" sx={{ fontWeight: 700, mt: 1, color: 'text.secondary' }}>
            <Said message={FAMILIES[family].words} />
          </Typography>
          <List component="div" dense disablePadding>
            {shown
              .filter((one) => one.family === family)
              .map(({ id, name, source }) => (
                <ListItemButton
                  key={id}
                  component={Link}
                  to={`/sensors/${id}`}
                  selected={id === current}
                  aria-current={id === current ? 'page' : undefined}
                  sx={{ minHeight: 44, px: 1 }}
                >
                  <ListItemText primary={name} secondary={source} />
                </ListItemButton>
              ))}
          </List>
        </Box>
      ))}
      {left > 0 && (
        <Typography variant="body2" sx={{ p: 1 }}>
          {t('ui-sensors.more-type-another-word-narrow', { left })}
        </Typography>
      )}
    </Box>
  );
});
