import { createListenerMiddleware, isAnyOf, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import { api } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import type { OutboxState } from './outboxEntry.ts';
import { readingQueued, readingRefused, readingSent, sendingAsked, serverAway } from './outboxSlice.ts';

const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 10_000;

interface State {
  [api.reducerPath]: ReturnType<typeof api.reducer>;
  outbox: OutboxState;
}

export const outboxSender = createListenerMiddleware<State, ThunkDispatch<State, unknown, UnknownAction>>();

/**
 * Sends waiting readings one after another, in the order they were entered: a withdrawal must find what it withdraws.
 * While the server is away it tries again by itself; sending twice does no harm, since the id is the reading's own.
 */
outboxSender.startListening({
  matcher: isAnyOf(readingQueued, sendingAsked),
  effect: async (_action, { cancelActiveListeners, dispatch, getState, delay, signal }) => {
    cancelActiveListeners();
    let waitMs = FIRST_WAIT_MS;
    for (;;) {
      const next = getState().outbox.entries.find(({ refused }) => !refused)?.reading;
      if (!next) return;
      try {
        const sent = await dispatch(api.endpoints.recordReading.initiate(next)).unwrap();
        dispatch(
          api.util.updateQueryData('jobSheet', sent.jobId, (sheet) => {
            if (!sheet.readings.some(({ id }) => id === sent.id)) sheet.readings.push(sent);
          }),
        );
        dispatch(readingSent(sent.id));
        waitMs = FIRST_WAIT_MS;
      } catch (error) {
        const { passing, ...problem } = requestProblem(error);
        if (!passing) {
          dispatch(readingRefused({ id: next.id, problem }));
        } else {
          if (signal.aborted) return;
          dispatch(serverAway(problem));
          await delay(waitMs);
          waitMs = Math.min(waitMs * 2, LONGEST_WAIT_MS);
        }
      }
      if (signal.aborted) return; // a newer run has taken over
    }
  },
});
