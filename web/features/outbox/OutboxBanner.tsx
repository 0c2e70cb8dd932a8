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
import { t } from '../../ui/words.ts';

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
          {t('ui-outbox.server-does-not-answer-stands')}
        </Alert>
      )}
      {waitingBecause && waiting.length > 0 && (
        <Alert severity="warning" role="status" sx={{ borderRadius: 0 }}>
          <Said message={waitingBecause.message} />{' '}
          {t('ui-outbox.browser-will-sent-itself-when', {
            which:
              waiting.length === 1
                ? t('ui-outbox.one-reading-waits')
                : t('ui-outbox.readings-wait', { length: waiting.length }),
          })}
        </Alert>
      )}
      {notKept.length > 0 && (
        <Alert severity="error" role="alert" sx={{ borderRadius: 0 }}>
          <strong>{t('ui-outbox.not-written-down-browser-no')}</strong>{' '}
          {t('ui-outbox.do-not-close-page-before', {
            notKept: notKept.map(({ reading }) => `“${reading.enteredText}”`).join(', '),
          })}
        </Alert>
      )}
      {unreadable.map(({ key, text }) => (
        <Alert
          key={key}
          severity="warning"
          sx={{ borderRadius: 0 }}
          action={
            <Button color="inherit" onClick={() => dispatch(unreadableDiscarded(key))}>
              {t('ui-outbox.discard')}
            </Button>
          }
        >
          {t('ui-outbox.something-waits-browser-version-cannot', { text: text.slice(0, 200) })}
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
                  {t('ui-outbox.keep-new-reading')}
                </Button>
              ) : (
                <Button color="inherit" onClick={() => dispatch(sendingAsked())}>
                  {t('ui-outbox.try-again')}
                </Button>
              )}
              <Button color="inherit" onClick={() => dispatch(readingDiscarded(reading.id))}>
                {t('ui-outbox.discard')}
              </Button>
            </Stack>
          }
        >
          {t('ui-outbox.not-recorded', { enteredText: reading.enteredText })}{' '}
          {problem && <SaidProblem problem={problem} />}
        </Alert>
      ))}
    </>
  );
}
