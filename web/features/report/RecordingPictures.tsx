import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useRecordingPicturesQuery } from '../../app/api.ts';
import { t } from '../../ui/words.ts';

/** A recording as it is printed, a channel below the other. Part of the page itself, so that one that is saved has it too. */
export function RecordingPictures({ recordingId, name }: { recordingId: string; name: string }) {
  const { data: pictures, error } = useRecordingPicturesQuery(recordingId);
  if (error) return <Typography role="alert">{t('ui-report.not-drawn')}</Typography>;
  if (!pictures) return <Typography>{t('ui-report.being-drawn')}</Typography>;
  if (pictures.length === 0) return <Typography>{t('ui-report.too-long-to-draw')}</Typography>;
  return pictures.map((picture, i) => (
    <Box
      // Channels have no other name than their place.
      key={i}
      component="img"
      src={`data:image/svg+xml,${encodeURIComponent(picture)}`}
      alt={t('ui-report.channel-picture', { name, number: i + 1 })}
      sx={{ display: 'block', width: '100%', maxWidth: 720, bgcolor: 'common.white', mb: 1 }}
    />
  ));
}
