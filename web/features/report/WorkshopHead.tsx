import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useWorkshopQuery } from '../../app/api.ts';
import { t } from '../../ui/words.ts';

/** Who made the report; nothing where the workshop has not said. */
export function WorkshopHead() {
  const { data } = useWorkshopQuery();
  if (!data || (data.name === '' && data.address === '' && data.picture === undefined)) return null;
  const { name, address, picture } = data;
  return (
    <Box component="header" sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mb: 2, alignItems: 'center' }}>
      {picture !== undefined && (
        <Box
          component="img"
          src={picture}
          alt={t('ui-report.picture-of', { name: name || t('ui-report.the-workshop') })}
          sx={{ maxWidth: 160, maxHeight: 80 }}
        />
      )}
      <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
        <Typography sx={{ fontWeight: 700 }}>{name}</Typography>
        <Typography variant="body2" sx={{ whiteSpace: 'pre-line' }}>
          {address}
        </Typography>
      </Box>
    </Box>
  );
}
