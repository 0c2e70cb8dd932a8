import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useListSensorsQuery } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { SensorFacts } from './SensorFacts.tsx';

/** The library: every sensor that a job can be opened for, and what each should read. */
export default function SensorsPage() {
  const { sensorId } = useParams();
  const { data, error } = useListSensorsQuery();
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/u);
  const shown = data?.filter(({ name, source }) =>
    words.every((word) => `${name} ${source}`.toLowerCase().includes(word)),
  );
  const sensor = data?.find(({ id }) => id === sensorId) ?? shown?.[0];
  useEffect(() => {
    document.title = 'Sensors · Lettura';
  }, []);
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title="Sensors" />
      {error && !data && <Trouble {...requestProblem(error)} />}
      {!data && !error && <Loading what="sensors" />}
      {data && (
        <Box
          component="main"
          sx={{
            p: 2,
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '270px 1fr' },
            gap: 2,
            maxWidth: 1240,
            mx: 'auto',
          }}
        >
          <Box
            sx={{
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'sheet.rule',
              borderRadius: 1,
              p: 1.5,
              alignSelf: 'start',
            }}
          >
            <Button component={Link} to="/sensors/new" variant="contained" fullWidth sx={{ mb: 1.5 }}>
              New sensor from points
            </Button>
            <TextField
              type="search"
              size="small"
              fullWidth
              label="Search sensors"
              value={search}
              onChange={(event) => setSearch(event.target.value)}
            />
            <Box component="nav" aria-label="Sensors">
              <List component="div">
                {shown?.map(({ id, name, source }) => (
                  <ListItemButton
                    key={id}
                    component={Link}
                    to={`/sensors/${id}`}
                    selected={id === sensor?.id}
                    aria-current={id === sensor?.id ? 'page' : undefined}
                  >
                    <ListItemText primary={name} secondary={source} />
                  </ListItemButton>
                ))}
              </List>
            </Box>
            {shown?.length === 0 && <Typography>No sensor matches this search.</Typography>}
          </Box>
          <Box
            sx={{
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'sheet.rule',
              borderRadius: 1,
              p: 2,
              minWidth: 0,
            }}
          >
            {sensor && <SensorFacts key={sensor.id} sensor={sensor} />}
          </Box>
        </Box>
      )}
    </Box>
  );
}
