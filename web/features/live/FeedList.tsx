import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { FeedInfo } from '@lettura/contract';
import { useMemo, useState } from 'react';
import { useListFeedsQuery } from '../../app/api.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { PAPER } from '../../ui/paper.ts';
import { t } from '../../ui/words.ts';
import { serverSource } from './serverSource.ts';
import { sourceInWords } from './sourceInWords.ts';
import { useSource, type LiveView } from './useSource.ts';

/** What the server is connected to, and what each of it says when it is asked. It reaches nothing that was not set up for it. */
export function FeedList() {
  const { data: feeds } = useListFeedsQuery();
  const [openId, setOpenId] = useState<string>();
  if (!feeds) return null;
  return (
    <Box component="section" aria-label={t('ui-live.connected')} sx={{ ...PAPER, mt: 2, p: 2 }}>
      <Typography variant="h2">{t('ui-live.connected')}</Typography>
      {feeds.length === 0 && <Typography>{t('ui-live.nothing-connected')}</Typography>}
      {feeds.map((feed) => {
        const { id, name, address, simulated } = feed;
        const isOpen = id === openId;
        return (
          <Box key={id} sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
              <Typography sx={{ flex: '1 1 240px', overflowWrap: 'anywhere' }}>
                <strong>{name}</strong> {simulated ? t('ui-live.stand-in') : (address ?? '')}
              </Typography>
              <Button
                variant="outlined"
                aria-expanded={isOpen}
                aria-label={t('ui-live.what-does-it-say-of', { name })}
                onClick={() => setOpenId(isOpen ? undefined : id)}
                sx={{ minHeight: 48 }}
              >
                {t('ui-live.what-does-it-say')}
              </Button>
            </Box>
            {isOpen && <FeedSays feed={feed} />}
          </Box>
        );
      })}
    </Box>
  );
}

const COUNTED_MS = 2000;
const SHOWN_DIGITS = 5;

/** A feed as it comes: whether it does, how often, and its newest values. */
function FeedSays({ feed }: { feed: FeedInfo }) {
  const source = useMemo(() => serverSource(feed), [feed]);
  const view = useSource(source);
  const { buffer, fresh } = view;
  return (
    <>
      <Typography role="status">
        {sourceInWords(view)}
        {fresh && `, ${t('ui-live.samples-a-second', { rate: Math.round(rateOf(view)) })}`}
      </Typography>
      <Box sx={{ overflowX: 'auto', maxWidth: 420 }}>
        <Table size="small" aria-label={t('ui-live.what-does-it-say-of', { name: feed.name })}>
          <TableBody>
            {feed.channels.map(({ name, unit }, channel) => {
              const value = buffer.newest(channel);
              return (
                <TableRow key={name}>
                  <TableCell component="th" scope="row">
                    {name}
                  </TableCell>
                  <Numeral>
                    {fresh && value !== undefined && !Number.isNaN(value)
                      ? `${Number(value.toPrecision(SHOWN_DIGITS))} ${unit}`
                      : '–'}
                  </Numeral>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Box>
    </>
  );
}

/** Samples a second, over the last two. */
function rateOf({ buffer }: LiveView): number {
  const newestMs = buffer.newestMs ?? 0;
  let [count, oldestMs] = [0, newestMs];
  buffer.each(0, newestMs - COUNTED_MS, (atMs) => {
    if (count === 0) oldestMs = atMs;
    count++;
  });
  return newestMs > oldestMs ? (1000 * (count - 1)) / (newestMs - oldestMs) : 0;
}
