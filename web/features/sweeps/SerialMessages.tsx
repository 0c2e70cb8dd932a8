import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SerialMessage } from '@lettura/core/recording/telegram';
import { t } from '../../ui/words.ts';

/** A message that comes again and again is told once, with how often. */
export function SerialMessages({
  messages,
  frames,
}: {
  messages: readonly SerialMessage[];
  /** So many good ones were read. */
  frames: number;
}) {
  if (messages.length === 0)
    return <Typography variant="body2">{t('ui-sweeps.no-serial-message', { frames })}</Typography>;
  const times = new Map<string, { message: SerialMessage; count: number }>();
  for (const message of messages) {
    const key = `${message.form} ${message.id} ${message.value}`;
    times.set(key, { message, count: (times.get(key)?.count ?? 0) + 1 });
  }
  return (
    <>
      <Typography variant="h3">{t('ui-sweeps.serial-messages')}</Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {[...times].map(([key, { message, count }]) => (
          <li key={key}>
            {t('ui-sweeps.serial-message', {
              isShort: message.form === 'short',
              id: message.id.toString(16).toUpperCase(),
              value: message.value.toString(16).toUpperCase(),
              plain: message.value,
              count,
            })}
          </li>
        ))}
      </Box>
    </>
  );
}
