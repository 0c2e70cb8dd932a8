import type { NewReading } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { OutboxEntry, OutboxState, Unreadable } from './outboxEntry.ts';

const EMPTY: OutboxState = { entries: [], unreadable: [] };

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: EMPTY,
  reducers: {
    /** What an earlier page could not send; what was entered here meanwhile comes after it. */
    outboxLoaded: (
      state,
      { payload }: PayloadAction<{ entries: OutboxEntry[]; unreadable: Unreadable[] }>,
    ) => {
      const here = new Set(state.entries.map(({ reading }) => reading.id));
      state.entries.unshift(...(payload.entries.filter(({ reading }) => !here.has(reading.id)) as never[]));
      state.unreadable = payload.unreadable;
    },
    readingQueued: (state, { payload }: PayloadAction<NewReading>) => {
      state.entries.push({ reading: payload });
    },
    readingNotKept: (state, { payload: id }: PayloadAction<string>) => {
      const entry = state.entries.find(({ reading }) => reading.id === id);
      if (entry) entry.notKept = true;
    },
    readingSent: (state, { payload: id }: PayloadAction<string>) => {
      state.entries = state.entries.filter(({ reading }) => reading.id !== id);
      delete state.waitingBecause;
    },
    readingRefused: (state, { payload }: PayloadAction<{ id: string; problem: Problem }>) => {
      const entry = state.entries.find(({ reading }) => reading.id === payload.id);
      if (entry) Object.assign(entry, { refused: payload.problem });
      delete state.waitingBecause;
    },
    serverAway: (state, { payload }: PayloadAction<Problem>) => {
      Object.assign(state, { waitingBecause: payload });
    },
    readingDiscarded: (state, { payload: id }: PayloadAction<string>) => {
      state.entries = state.entries.filter(({ reading }) => reading.id !== id);
    },
    unreadableDiscarded: (state, { payload: key }: PayloadAction<string>) => {
      state.unreadable = state.unreadable.filter((one) => one.key !== key);
    },
    sendingAsked: (state) => {
      for (const entry of state.entries) delete entry.refused;
    },
  },
});

export const {
  outboxLoaded,
  readingDiscarded,
  readingNotKept,
  readingQueued,
  readingRefused,
  readingSent,
  sendingAsked,
  serverAway,
  unreadableDiscarded,
} = outboxSlice.actions;
export const selectOutbox = (state: { outbox: OutboxState }): OutboxState => state.outbox;
