import {
  PLUG_TESTS,
  TERMINAL_COUNTS,
  type PlugReading,
  type TerminalCount,
} from '@lettura/core/judge/wireFinder';
import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { storedByJob } from '../../app/stored.ts';

const plugReading = z.object({
  terminal: z.int().min(0).max(11),
  test: z.enum(PLUG_TESTS),
  /** Null for OL, which JSON has no number for. */
  value: z.number().nullable(),
});
const found = z.object({ terminals: z.literal(TERMINAL_COUNTS).optional(), readings: z.array(plugReading) });
type WiresState = Record<string, z.infer<typeof found>>;

/** What was measured at the plug of a job, terminal by terminal: this browser's until the names go onto the job. */
export const wiresStorage = storedByJob('lettura.wires', found);

const EMPTY: WiresState[string] = { readings: [] };
const at = (state: WiresState, jobId: string) => (state[jobId] ??= structuredClone(EMPTY));
const stands = (value: number): number | null => (Number.isFinite(value) ? value : null);

export const wiresSlice = createSlice({
  name: 'wires',
  initialState: (): WiresState => wiresStorage.load(),
  reducers: {
    terminalsCounted: (state, { payload }: PayloadAction<{ jobId: string; terminals: TerminalCount }>) => {
      state[payload.jobId] = { terminals: payload.terminals, readings: [] };
    },
    terminalMeasured: (state, { payload }: PayloadAction<{ jobId: string; reading: PlugReading }>) => {
      const { terminal, test, value } = payload.reading;
      const mine = at(state, payload.jobId);
      // Measured again, the newer value stands.
      mine.readings = mine.readings.filter((other) => other.terminal !== terminal || other.test !== test);
      mine.readings.push({ terminal, test, value: stands(value) });
    },
    terminalForgotten: (
      state,
      { payload }: PayloadAction<{ jobId: string; reading: Pick<PlugReading, 'terminal' | 'test'> }>,
    ) => {
      const { terminal, test } = payload.reading;
      const mine = at(state, payload.jobId);
      mine.readings = mine.readings.filter((other) => other.terminal !== terminal || other.test !== test);
    },
    wiresRestarted: (state, { payload: jobId }: PayloadAction<string>) => {
      at(state, jobId).readings = [];
    },
  },
});
export const { terminalsCounted, terminalMeasured, terminalForgotten, wiresRestarted } = wiresSlice.actions;

export const selectWires = (jobId: string) =>
  createSelector([(root: { wires: WiresState }) => root.wires[jobId]], (mine) => ({
    terminals: mine?.terminals,
    readings: (mine?.readings ?? []).map(({ value, ...rest }): PlugReading => ({
      ...rest,
      value: value ?? Infinity,
    })),
  }));
