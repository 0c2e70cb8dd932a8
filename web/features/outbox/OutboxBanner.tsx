import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { NewReading } from '@lettura/contract';
import { useDispatch, useSelector } from 'react-redux';
import { v7 } from 'uuid';
import {
  readingDiscarded,
  readingQueued,
  selectOutbox,
  sendingAsked,
  unreadableDiscarded,
} from './outboxSlice.ts';
import { Said, SaidProblem } from '../../ui/Said.tsx';

/** Says what has not reached the server yet. Readings that are merely on their way are not worth a word. */
export function OutboxBanner({ away = false }: { away?: boolean }) {
  const { entries, unreadable, waitingBecause } = useSelector(selectOutbox);
  const dispatch = useDispatch();
  const notKept = entries.filter((entry) => entry.notKept && !entry.refused);
  const waiting = entries.filter((entry) => !entry.refused && !entry.notKept);
  const refused = entries.filter((entry) => entry.refused);
  /** Somebody else corrected the same reading: both stand side by side, and nothing that was typed is lost. */
  const keepAsNew = ({ supersedes: _corrected, ...reading }: NewReading) => {
    dispatch(readingQueued({ ...reading, id: v7() } as NewReading));
    dispatch(readingDiscarded(reading.id));
  };
  return (
    <>
      {away && !(waitingBecause && waiting.length > 0) && (
        <Alert severity="warning" role="status" sx={{ borderRadius: 0 }}>
          The server does not answer. What stands here is as it was last; what you enter waits in this browser
          and is sent by itself.
        </Alert>
      )}
      {waitingBecause && waiting.length > 0 && (
        <Alert severity="warning" role="status" sx={{ borderRadius: 0 }}>
          <Said message={waitingBecause.message} />{' '}
          {waiting.length === 1 ? 'One reading waits' : `${waiting.length} readings wait`} in this browser and
          will be sent by itself when the server is back.
        </Alert>
      )}
      {notKept.length > 0 && (
        <Alert severity="error" role="alert" sx={{ borderRadius: 0 }}>
          <strong>Not written down: this browser has no room for it, or keeps nothing.</strong> Do not close
          this page before it is sent, or note it on paper:{' '}
          {notKept.map(({ reading }) => `“${reading.enteredText}”`).join(', ')}.
        </Alert>
      )}
      {unreadable.map(({ key, text }) => (
        <Alert
          key={key}
          severity="warning"
          sx={{ borderRadius: 0 }}
          action={
            <Button color="inherit" onClick={() => dispatch(unreadableDiscarded(key))}>
              Discard
            </Button>
          }
        >
          Something waits in this browser that this version cannot read: “{text.slice(0, 200)}”. Enter it
          again if it counts, then discard it here.
        </Alert>
      ))}
      {refused.map(({ reading, refused: problem }) => (
        <Alert
          key={reading.id}
          severity="error"
          sx={{ borderRadius: 0 }}
          action={
            <Stack direction="row" sx={{ gap: 1 }}>
              {problem?.code === 'corrected-elsewhere' && reading.kind !== 'withdrawal' ? (
                <Button color="inherit" onClick={() => keepAsNew(reading)}>
                  Keep as a new reading
                </Button>
              ) : (
                <Button color="inherit" onClick={() => dispatch(sendingAsked())}>
                  Try again
                </Button>
              )}
              <Button color="inherit" onClick={() => dispatch(readingDiscarded(reading.id))}>
                Discard
              </Button>
            </Stack>
          }
        >
          Not recorded: “{reading.enteredText}”. {problem && <SaidProblem problem={problem} />}
        </Alert>
      ))}
    </>
  );
}
