import { PRESSURE_UNITS, type PressureUnit } from '@lettura/core/measure/quantity';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import type { Units } from '../ui/units.ts';
import { stored } from './stored.ts';
import { THEME_NAMES, type ThemeName } from './theme.ts';

const pressureUnit = z.enum(PRESSURE_UNITS as [PressureUnit, ...PressureUnit[]]);
const laneForm = z.enum(['full', 'strip']);
const preferences = z.object({
  units: z.object({ absolute: pressureUnit, vacuum: pressureUnit }),
  theme: z.enum(THEME_NAMES),
  /** What readings are taken with, by the sort of reading. */
  instruments: z.object({ wire: z.string(), gauge: z.string(), scan: z.string() }).partial().default({}),
  /** Whether the keypad stands below the line that is typed into, where a thumb types. */
  keypad: z.boolean().default(true),
  /** Whether a live value that stands, or is lost, is told by sound and vibration. */
  signs: z.boolean().default(false),
  textSize: z.enum(['usual', 'larger', 'largest']).default('usual'),
  /** How the lanes are drawn where one point is worked on, and beside a table. */
  laneForms: z.object({ point: laneForm, table: laneForm }).default({ point: 'full', table: 'strip' }),
});
type Preferences = z.infer<typeof preferences>;
export type TextSize = Preferences['textSize'];

/** In percent of the page's own letters, in the order in which they follow each other. */
export const TEXT_PERCENT: Record<TextSize, number> = { usual: 100, larger: 115, largest: 130 };
const TEXT_SIZES = Object.keys(TEXT_PERCENT) as TextSize[];
export const textSizeAfter = (size: TextSize): TextSize =>
  TEXT_SIZES[(TEXT_SIZES.indexOf(size) + 1) % TEXT_SIZES.length]!;

export const preferencesStorage = stored<Preferences>('lettura.preferences', preferences, {
  units: { absolute: 'kPa', vacuum: 'inHg' },
  theme: 'light',
  keypad: true,
  signs: false,
  textSize: 'usual',
  laneForms: { point: 'full', table: 'strip' },
  instruments: {},
});

export const preferencesSlice = createSlice({
  name: 'preferences',
  initialState: (): Preferences => preferencesStorage.load(),
  reducers: {
    unitsChosen: (state, { payload }: PayloadAction<Partial<Units>>) => {
      Object.assign(state.units, payload);
    },
    instrumentChosen: (state, { payload }: PayloadAction<Preferences['instruments']>) => {
      Object.assign(state.instruments, payload);
    },
    keypadShown: (state, { payload }: PayloadAction<boolean>) => {
      state.keypad = payload;
    },
    laneFormChosen: (state, { payload }: PayloadAction<Partial<Preferences['laneForms']>>) => {
      Object.assign(state.laneForms, payload);
    },
    signsSwitched: (state, { payload }: PayloadAction<boolean>) => {
      state.signs = payload;
    },
    textSizeChosen: (state, { payload }: PayloadAction<TextSize>) => {
      state.textSize = payload;
    },
    themeChosen: (state, { payload }: PayloadAction<ThemeName>) => {
      state.theme = payload;
    },
  },
});
export const {
  instrumentChosen,
  keypadShown,
  laneFormChosen,
  signsSwitched,
  textSizeChosen,
  themeChosen,
  unitsChosen,
} = preferencesSlice.actions;

interface WithPreferences {
  preferences: Preferences;
}
export const selectUnits = (state: WithPreferences): Units => state.preferences.units;
export const selectInstruments = (state: WithPreferences): Preferences['instruments'] =>
  state.preferences.instruments;
export const selectKeypad = (state: WithPreferences): boolean => state.preferences.keypad;
export const selectLaneForms = (state: WithPreferences): Preferences['laneForms'] =>
  state.preferences.laneForms;
export const selectSigns = (state: WithPreferences): boolean => state.preferences.signs;
export const selectTextSize = (state: WithPreferences): TextSize => state.preferences.textSize;
export const selectTheme = (state: WithPreferences): ThemeName => state.preferences.theme;
