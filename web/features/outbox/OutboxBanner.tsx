import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useDispatch, useSelector } from 'react-redux';
import { readingDiscarded, selectOutbox, sendingAsked } from './outboxSlice.ts';

/** Says what has not reached the server yet. Readings that are merely on their way are not worth a word. */
export function OutboxBanner() {
  const { entries, waitingBecause } = useSelector(selectOutbox);
  const dispatch = useDispatch();
  const waiting = entries.filter(({ refused }) => !refused);
  const refused = entries.filter((entry) => entry.refused);
  return (
    <>
      {waitingBecause && waiting.length > 0 && (
        <Alert severity="warning" role="status" sx={{ borderRadius: 0 }}>
          {waitingBecause.message}{' '}
          {waiting.length === 1 ? 'One reading waits' : `${waiting.length} readings wait`} in this browser and
          will be sent by itself when the server is back.
        </Alert>
      )}
      {refused.map(({ reading, refused: problem }) => (
        <Alert
          key={reading.id}
          severity="error"
          sx={{ borderRadius: 0 }}
          action={
            <Stack direction="row" sx={{ gap: 1 }}>
              <Button color="inherit" onClick={() => dispatch(sendingAsked())}>
                Try again
              </Button>
              <Button color="inherit" onClick={() => dispatch(readingDiscarded(reading.id))}>
                Discard
              </Button>
            </Stack>
          }
        >
          Not recorded: “{reading.enteredText}”. {problem?.message} {problem?.next}
        </Alert>
      ))}
    </>
  );
}
