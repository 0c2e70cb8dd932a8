import { beforeEach, expect, test, vi } from 'vitest';
import { fakeStorage } from '../testStorage.ts';
import {
  keypadShown,
  laneFormChosen,
  preferencesSlice,
  preferencesStorage,
  selectKeypad,
  selectLaneForms,
  selectTheme,
  selectUnits,
  selectSigns,
  selectTextSize,
  signsSwitched,
  textSizeAfter,
  textSizeChosen,
  themeChosen,
  unitsChosen,
} from './preferences.ts';
import { THEME_NAMES, themeAfter, themeNamed, type ThemeName } from './theme.ts';

beforeEach(() => vi.stubGlobal('localStorage', fakeStorage()));
const { reducer } = preferencesSlice;
const start = () => reducer(undefined, { type: 'start' });

test('kilopascals for absolute pressure and inches of mercury for vacuum, until somebody chooses', () => {
  expect(selectUnits({ preferences: start() })).toEqual({ absolute: 'kPa', vacuum: 'inHg' });
  expect(selectTheme({ preferences: start() })).toBe('light');
});

test('one unit changes without the other, and a choice survives the page', () => {
  const preferences = [unitsChosen({ vacuum: 'mbar' }), themeChosen('dim')].reduce(reducer, start());
  expect(selectUnits({ preferences })).toEqual({ absolute: 'kPa', vacuum: 'mbar' });
  preferencesStorage.save(preferences);
  expect(start()).toEqual(preferences);
});

test('a unit that an older version knew is not believed', () => {
  localStorage.setItem(
    'lettura.preferences',
    '{"units":{"absolute":"furlong","vacuum":"inHg"},"theme":"light"}',
  );
  expect(selectUnits({ preferences: start() }).absolute).toBe('kPa');
});

test('a storage that refuses does not stop the page', () => {
  vi.stubGlobal('localStorage', {
    getItem: () => {
      throw new Error('denied');
    },
    setItem: () => {
      throw new Error('full');
    },
  });
  expect(selectTheme({ preferences: start() })).toBe('light');
  expect(() => preferencesStorage.save(start())).not.toThrow();
});

/** WCAG 2.2, relative luminance and contrast ratio. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [r, g, blue] = [1, 3, 5].map((i) => {
      const channel = parseInt(hex.slice(i, i + 2), 16) / 255;
      return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * blue;
  };
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

test.each(THEME_NAMES)(
  'in the %s theme every standing is readable on paper and inset: WCAG 2.2, 1.4.3',
  (name) => {
    const { palette } = themeNamed(name);
    const standings: string[] = Object.values(palette.standing);
    for (const ground of [palette.background.paper, palette.sheet.inset]) {
      for (const ink of [...standings, palette.text.primary, palette.text.secondary]) {
        expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5);
      }
      expect(contrast(palette.text.primary, ground)).toBeGreaterThanOrEqual(10); // daylight
    }
  },
);

test('the themes follow each other in a ring', () => {
  const ring = THEME_NAMES.reduce<ThemeName[]>((all) => [...all, themeAfter(all.at(-1)!)], ['light']);
  expect(ring).toEqual(['light', 'dim', 'daylight', 'light']);
});

test('keypad and lanes are kept as they were chosen, and what is not kept yet has its usual value', () => {
  const chosen = [keypadShown(false), laneFormChosen({ table: 'full' })].reduce(reducer, start());
  expect(selectKeypad({ preferences: chosen })).toBe(false);
  expect(selectLaneForms({ preferences: chosen })).toEqual({ point: 'full', table: 'full' });
  expect(selectKeypad({ preferences: start() })).toBe(true);
  expect(selectLaneForms({ preferences: start() })).toEqual({ point: 'full', table: 'strip' });
});

test('letters have three sizes in a ring, and signs are silent until somebody wants them', () => {
  expect((['usual', 'larger', 'largest'] as const).map(textSizeAfter)).toEqual([
    'larger',
    'largest',
    'usual',
  ]);
  expect(selectTextSize({ preferences: start() })).toBe('usual');
  expect(selectSigns({ preferences: start() })).toBe(false);
  const chosen = [textSizeChosen('largest'), signsSwitched(true)].reduce(reducer, start());
  preferencesStorage.save(chosen);
  expect(selectTextSize({ preferences: start() })).toBe('largest');
  expect(selectSigns({ preferences: start() })).toBe(true);
});
