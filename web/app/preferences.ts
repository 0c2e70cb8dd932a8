import { PRESSURE_UNITS, type PressureUnit } from '@lettura/core/quantity';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import type { Units } from '../ui/units.ts';
import { stored } from './stored.ts';
import type { ThemeName } from './theme.ts';

const pressureUnit = z.enum(PRESSURE_UNITS as [PressureUnit, ...PressureUnit[]]);
const preferences = z.object({
  units: z.object({ absolute: pressureUnit, vacuum: pressureUnit }),
  theme: z.enum(['light', 'dim']),
});
type Preferences = z.infer<typeof preferences>;

export const preferencesStorage = stored<Preferences>('lettura.preferences', preferences, {
  units: { absolute: 'kPa', vacuum: 'inHg' },
  theme: 'light',
});

export const preferencesSlice = createSlice({
  name: 'preferences',
  initialState: (): Preferences => preferencesStorage.load(),
  reducers: {
    unitsChosen: (state, { payload }: PayloadAction<Partial<Units>>) => {
      Object.assign(state.units, payload);
    },
    themeChosen: (state, { payload }: PayloadAction<ThemeName>) => {
      state.theme = payload;
    },
  },
});
export const { themeChosen, unitsChosen } = preferencesSlice.actions;

interface WithPreferences {
  preferences: Preferences;
}
export const selectUnits = (state: WithPreferences): Units => state.preferences.units;
export const selectTheme = (state: WithPreferences): ThemeName => state.preferences.theme;
