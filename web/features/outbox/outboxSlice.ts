import type { NewReading } from '@lettura/contract';
import type { Problem } from '@lettura/core/problem';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { OutboxState } from './outboxEntry.ts';
import { outboxStorage } from './outboxStorage.ts';

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: (): OutboxState => ({ entries: outboxStorage.load() }),
  reducers: {
    readingQueued: (state, { payload }: PayloadAction<NewReading>) => {
      state.entries.push({ reading: payload });
    },
    readingSent: (state, { payload: id }: PayloadAction<string>) => {
      state.entries = state.entries.filter(({ reading }) => reading.id !== id);
      delete state.waitingBecause;
    },
    readingRefused: (state, { payload }: PayloadAction<{ id: string; problem: Problem }>) => {
      const entry = state.entries.find(({ reading }) => reading.id === payload.id);
      if (entry) entry.refused = payload.problem;
      delete state.waitingBecause;
    },
    serverAway: (state, { payload }: PayloadAction<Problem>) => {
      state.waitingBecause = payload;
    },
    readingDiscarded: (state, { payload: id }: PayloadAction<string>) => {
      state.entries = state.entries.filter(({ reading }) => reading.id !== id);
    },
    sendingAsked: (state) => {
      for (const entry of state.entries) delete entry.refused;
    },
  },
});

export const { readingDiscarded, readingQueued, readingRefused, readingSent, sendingAsked, serverAway } =
  outboxSlice.actions;
export const selectOutbox = (state: { outbox: OutboxState }): OutboxState => state.outbox;
