import { createListenerMiddleware, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import { workedOnHere } from '../../app/jobsHere.ts';
import type { OutboxState } from './outboxEntry.ts';
import {
  outboxLoaded,
  readingDiscarded,
  readingNotKept,
  readingQueued,
  readingSent,
  sendingAsked,
  unreadableDiscarded,
} from './outboxSlice.ts';
import { outboxStorage } from './outboxStorage.ts';

interface State {
  outbox: OutboxState;
}

/** Writes down what waits and lets go of what has arrived, beside the sending: neither waits for the other. */
export const outboxKeeper = createListenerMiddleware<State, ThunkDispatch<State, unknown, UnknownAction>>();

outboxKeeper.startListening({
  actionCreator: readingQueued,
  effect: async ({ payload: reading }, { dispatch, getState }) => {
    workedOnHere(reading.jobId);
    const isThere = () => getState().outbox.entries.some((entry) => entry.reading.id === reading.id);
    const kept = await outboxStorage.keep(reading);
    // It may have arrived while it was being written: then nothing of it is left behind.
    if (!isThere()) await outboxStorage.remove(reading.id);
    else if (!kept) dispatch(readingNotKept(reading.id));
  },
});
for (const gone of [readingSent, readingDiscarded, unreadableDiscarded])
  outboxKeeper.startListening({
    actionCreator: gone,
    effect: ({ payload: id }) => outboxStorage.remove(id),
  });

/** What an earlier page could not send goes out now. */
export async function openOutbox(dispatch: (action: UnknownAction) => unknown): Promise<void> {
  void outboxStorage.askToStay();
  try {
    dispatch(outboxLoaded(await outboxStorage.load()));
  } catch {
    // A closed storage: what is entered here says by itself that it was not kept.
  }
  dispatch(sendingAsked());
}
