import { machineState } from '@lettura/contract';
import {
  GAUGE_TAPS,
  LANES,
  PLACES,
  SIGNAL_LANES,
  type MachineState,
  type Target,
} from '@lettura/core/machine/places';
import { REACHABLE, REACHES, type Reach, type Reachable } from '@lettura/core/judge/weighing';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { storedByJob } from '../../app/stored.ts';

const target = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('wire'), lane: z.enum(LANES), place: z.enum(PLACES) }),
  z.object({ kind: z.literal('gauge'), tap: z.enum(GAUGE_TAPS) }),
  z.object({ kind: z.literal('scan') }),
  z.object({ kind: z.literal('live-volts'), lane: z.enum(SIGNAL_LANES) }),
]) satisfies z.ZodType<Target>;

const inHand = z.object({
  state: machineState,
  selected: target,
  /** What stands in the quick entry, unsent: a reload must not lose it. */
  draft: z.string(),
  /** The reading that the next entry replaces. */
  correcting: z.string().optional(),
  /** Places that are hard to get at on this machine. */
  reaches: z.partialRecord(z.enum(REACHABLE), z.enum(REACHES)).optional(),
});
/** What the technician has in hand on one job: this browser's business, not the server's. */
export type InHand = z.infer<typeof inHand>;
export const sheetStorage = storedByJob('lettura.sheet', inHand);

const START: InHand = {
  state: { engine: 'koeo', plug: 'connected' },
  selected: { kind: 'wire', lane: 'signal', place: 'plug' },
  draft: '',
};

type SheetState = Record<string, InHand>;
const at = (state: SheetState, jobId: string): InHand => (state[jobId] ??= structuredClone(START));

export const sheetSlice = createSlice({
  name: 'sheet',
  initialState: (): SheetState => sheetStorage.load(),
  reducers: {
    stateSet: (state, { payload }: PayloadAction<{ jobId: string } & Partial<MachineState>>) => {
      const { jobId, ...change } = payload;
      Object.assign(at(state, jobId).state, change);
    },
    pointSelected: (state, { payload }: PayloadAction<{ jobId: string; target: Target }>) => {
      const sheet = at(state, payload.jobId);
      sheet.selected = payload.target;
      delete sheet.correcting;
    },
    draftTyped: (state, { payload }: PayloadAction<{ jobId: string; draft: string }>) => {
      at(state, payload.jobId).draft = payload.draft;
    },
    correctionStarted: (state, { payload }: PayloadAction<{ jobId: string; id: string; draft: string }>) => {
      const sheet = at(state, payload.jobId);
      sheet.correcting = payload.id;
      sheet.draft = payload.draft;
    },
    reachSet: (state, { payload }: PayloadAction<{ jobId: string; place: Reachable; reach: Reach }>) => {
      const sheet = at(state, payload.jobId);
      sheet.reaches = { ...sheet.reaches, [payload.place]: payload.reach };
    },
    entryDone: (state, { payload: jobId }: PayloadAction<string>) => {
      const sheet = at(state, jobId);
      sheet.draft = '';
      delete sheet.correcting;
    },
  },
});
export const { correctionStarted, draftTyped, entryDone, pointSelected, reachSet, stateSet } =
  sheetSlice.actions;
export const selectInHand =
  (jobId: string) =>
  (state: { sheet: SheetState }): InHand =>
    state.sheet[jobId] ?? START;
