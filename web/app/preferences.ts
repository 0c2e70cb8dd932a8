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
  /** How the lanes are drawn where one point is worked on, and beside a table. */
  laneForms: z.object({ point: laneForm, table: laneForm }).default({ point: 'full', table: 'strip' }),
});
type Preferences = z.infer<typeof preferences>;

export const preferencesStorage = stored<Preferences>('lettura.preferences', preferences, {
  units: { absolute: 'kPa', vacuum: 'inHg' },
  theme: 'light',
  keypad: true,
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
    themeChosen: (state, { payload }: PayloadAction<ThemeName>) => {
      state.theme = payload;
    },
  },
});
export const { instrumentChosen, keypadShown, laneFormChosen, themeChosen, unitsChosen } =
  preferencesSlice.actions;

interface WithPreferences {
  preferences: Preferences;
}
export const selectUnits = (state: WithPreferences): Units => state.preferences.units;
export const selectInstruments = (state: WithPreferences): Preferences['instruments'] =>
  state.preferences.instruments;
export const selectKeypad = (state: WithPreferences): boolean => state.preferences.keypad;
export const selectLaneForms = (state: WithPreferences): Preferences['laneForms'] =>
  state.preferences.laneForms;
export const selectTheme = (state: WithPreferences): ThemeName => state.preferences.theme;
