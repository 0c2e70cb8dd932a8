import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { sensorFileOf } from '@lettura/contract';
import { FAMILIES, FAMILY_IDS } from '@lettura/core/machine/family';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useListSensorsQuery, useSensorVersionsQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { downloadText } from '../../ui/downloadText.ts';
import { useSettled } from '../../ui/useSettled.ts';
import { ImportSensors } from './ImportSensors.tsx';
import { SensorFacts } from './SensorFacts.tsx';
import { SensorList } from './SensorList.tsx';
import { searchSensors } from './searchSensors.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** The library: every sensor that a job can be opened for, by family, and what each should read. */
export default function SensorsPage() {
  const { sensorId } = useParams();
  const { data, error } = useListSensorsQuery();
  const [search, setSearch] = useState('');
  const [family, setFamily] = useState('');
  // The list follows a moment behind, so that two thousand sensors never hold up the typing.
  const wanted = useDeferredValue(search);
  const shown = useMemo(() => searchSensors(data ?? [], wanted, family), [data, wanted, family]);
  // Which sensor is shown beside the list changes when the typing rests: its curve costs more than the search.
  const rested = useSettled(shown, 350);
  const listed = data?.find(({ id }) => id === sensorId);
  // An old version is in no list, only under its own address.
  const { data: versions } = useSensorVersionsQuery(sensorId ?? '', {
    skip: sensorId === undefined || data === undefined || listed !== undefined,
  });
  const chosen = listed ?? (sensorId ? versions?.find(({ id }) => id === sensorId) : undefined);
  const sensor = chosen ?? rested[0] ?? shown[0];
  const facts = useMemo(() => sensor && <SensorFacts key={sensor.id} sensor={sensor} />, [sensor]);
  useEffect(() => {
    document.title = t('ui-sensors.page');
  }, []);
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-sensors.sensors')}>
        <LibraryLinks />
      </PageHeader>
      {error && !data && <Trouble {...requestProblem(error)} />}
      {!data && !error && <Loading what={t('ui-sensors.sensors-2')} />}
      {data && (
        <Box
          component="main"
          sx={{
            p: 2,
            display: 'grid',
            gridTemplateColumns: {
              xs: 'minmax(0, 1fr)',
              sm: '230px minmax(0, 1fr)',
              md: '290px minmax(0, 1fr)',
            },
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
              display: 'grid',
              gridTemplateColumns: 'minmax(0, 1fr)',
              gap: 1,
            }}
          >
            <Button component={Link} to="/sensors/new" variant="contained" fullWidth>
              {t('ui-sensors.new-sensor-points')}
            </Button>
            <TextField
              type="search"
              size="small"
              fullWidth
              label={t('ui-sensors.search-sensors')}
              value={search}
              onChange={(event) => setSearch(event.target.value)}
            />
            <TextField
              select
              size="small"
              fullWidth
              label={t('ui-sensors.family')}
              value={family}
              onChange={(event) => setFamily(event.target.value)}
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            >
              <MenuItem value="">{t('ui-sensors.all-families', { length: data.length })}</MenuItem>
              {FAMILY_IDS.map((id) => (
                <MenuItem key={id} value={id}>
                  <Said message={FAMILIES[id].words} /> ({data.filter((one) => one.family === id).length})
                </MenuItem>
              ))}
            </TextField>
            <SensorList sensors={shown} current={sensor?.id} />
            {shown.length === 0 && <Typography>{t('ui-sensors.no-sensor-matches-search')}</Typography>}
            <ImportSensors />
            <Button
              variant="outlined"
              color="inherit"
              fullWidth
              disabled={shown.length === 0}
              onClick={() =>
                downloadText(
                  'lettura-sensors.json',
                  'application/json',
                  JSON.stringify(sensorFileOf(shown), null, 2),
                )
              }
            >
              {t('ui-sensors.export-these', { length: shown.length })}
            </Button>
          </Box>
          <Box
            sx={{
              bgcolor: 'background.paper',
              border: 1,
              borderColor: 'sheet.rule',
              borderRadius: 1,
              p: 2,
              minWidth: 0,
              overflowX: 'auto',
              position: 'relative',
            }}
          >
            {facts}
          </Box>
        </Box>
      )}
    </Box>
  );
}
