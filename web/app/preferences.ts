import { PRESSURE_UNITS, type PressureUnit } from '@lettura/core/measure/quantity';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import type { Units } from '../ui/units.ts';
import { stored } from './stored.ts';
import type { ThemeName } from './theme.ts';

const pressureUnit = z.enum(PRESSURE_UNITS as [PressureUnit, ...PressureUnit[]]);
const preferences = z.object({
  units: z.object({ absolute: pressureUnit, vacuum: pressureUnit }),
  theme: z.enum(['light', 'dim']),
  /** What readings are taken with, by the sort of reading. */
  instruments: z.object({ wire: z.string(), gauge: z.string(), scan: z.string() }).partial().default({}),
});
type Preferences = z.infer<typeof preferences>;

export const preferencesStorage = stored<Preferences>('lettura.preferences', preferences, {
  units: { absolute: 'kPa', vacuum: 'inHg' },
  theme: 'light',
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
    themeChosen: (state, { payload }: PayloadAction<ThemeName>) => {
      state.theme = payload;
    },
  },
});
export const { instrumentChosen, themeChosen, unitsChosen } = preferencesSlice.actions;

interface WithPreferences {
  preferences: Preferences;
}
export const selectUnits = (state: WithPreferences): Units => state.preferences.units;
export const selectInstruments = (state: WithPreferences): Preferences['instruments'] =>
  state.preferences.instruments;
export const selectTheme = (state: WithPreferences): ThemeName => state.preferences.theme;
