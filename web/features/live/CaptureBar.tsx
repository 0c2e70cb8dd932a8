import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { FeedInfo } from '@lettura/contract';
import type { Recording } from '@lettura/core/sweep';
import { useEffect, useRef, useState } from 'react';
import { captureStorage, recordingOf, rowsOf, type Capture } from './capture.ts';
import { useFeed } from './useFeed.ts';

export interface CaptureBarProps {
  feed: FeedInfo;
  jobId: string;
  /** Keeps it; false where that failed, and it is offered again. */
  onCaptured: (recording: Recording) => Promise<boolean>;
}

const SAVE_MS = 1000;
/** What a browser's storage holds, and more than a sweep by hand takes. */
const MOST_ROWS = 40_000;

/** Records what the meter gives until it is stopped; what a dead page left is offered again. */
export function CaptureBar({ feed, jobId, onCaptured }: CaptureBarProps) {
  const [running, setRunning] = useState(false);
  const [left, setLeft] = useState<Capture | undefined>(() => leftOver(jobId));
  const [count, setCount] = useState(0);
  const rows = useRef<Capture['rows']>([]);
  const { fresh } = useFeed(feed.id, (samples) => {
    if (!running || rows.current.length >= MOST_ROWS) return;
    rows.current.push(...rowsOf(samples));
    setCount(rows.current.length);
  });
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => captureStorage.save({ jobId, rows: rows.current }), SAVE_MS);
    return () => clearInterval(timer);
  }, [running, jobId]);

  const start = () => {
    rows.current = [];
    setCount(0);
    setLeft(undefined);
    setRunning(true);
  };
  const keep = async (capture: Capture) => {
    captureStorage.save(capture);
    setLeft(undefined);
    const names = feed.channels.map(({ name }) => name);
    if (await onCaptured(recordingOf(capture, names))) captureStorage.clear();
    else setLeft(capture);
  };
  const stop = () => {
    setRunning(false);
    if (rows.current.length > 1) void keep({ jobId, rows: rows.current });
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 1 }}>
      {running ? (
        <Button variant="contained" color="error" onClick={stop}>
          Stop and keep
        </Button>
      ) : (
        <Button variant="outlined" onClick={start} disabled={!fresh}>
          Record from the meter
        </Button>
      )}
      <Typography role="status">
        {running
          ? `Recording: ${count.toLocaleString('en-GB')} samples. Move it slowly from stop to stop and back.${fresh ? '' : ' The meter does not answer: the gap will show.'}`
          : fresh
            ? 'The meter answers.'
            : 'The meter does not answer yet.'}
      </Typography>
      {left && !running && (
        <>
          <Typography>
            A recording of {left.rows.length.toLocaleString('en-GB')} samples is not kept yet. Where a page
            died, its last second may be missing.
          </Typography>
          <Button variant="outlined" onClick={() => void keep(left)}>
            Keep it
          </Button>
          <Button
            color="inherit"
            onClick={() => {
              captureStorage.clear();
              setLeft(undefined);
            }}
          >
            Throw it away
          </Button>
        </>
      )}
    </Box>
  );
}

function leftOver(jobId: string): Capture | undefined {
  const stored = captureStorage.load();
  return stored.jobId === jobId && stored.rows.length > 1 ? stored : undefined;
}
