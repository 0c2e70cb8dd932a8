import { createTheme, type Theme } from '@mui/material/styles';
import { type Standing, COLOURS } from './themeColours.ts';

/** Paper, a dark garage, and the sun on the screen; in the order in which they follow each other. */
export const THEME_NAMES = ['light', 'dim', 'daylight'] as const;
export type ThemeName = (typeof THEME_NAMES)[number];

export const themeAfter = (name: ThemeName): ThemeName =>
  THEME_NAMES[(THEME_NAMES.indexOf(name) + 1) % THEME_NAMES.length]!;

declare module '@mui/material/styles' {
  interface Palette {
    standing: Standing;
    sheet: { desk: string; ink: string; rule: string; inset: string };
  }
  interface PaletteOptions {
    standing?: Standing;
    sheet?: { desk: string; ink: string; rule: string; inset: string };
  }
}

const SIGNS = "'Lettura Signs'";
const LETTERS = `'Atkinson Hyperlegible Next Variable', ${SIGNS}, sans-serif`;
export const NUMERALS = `'Atkinson Hyperlegible Mono Variable', ${SIGNS}, monospace`;

const stopHere = (event: { stopPropagation: () => void }) => event.stopPropagation();

/** Made for daylight and gloves: ink on paper, large targets, no decoration that carries no meaning. */
export function themeNamed(name: ThemeName): Theme {
  const c = COLOURS[name];
  return createTheme({
    palette: {
      mode: name === 'dim' ? 'dark' : 'light',
      primary: { main: c.primary },
      error: { main: c.faulty },
      warning: { main: c.suspect },
      success: { main: c.proven },
      background: { default: c.desk, paper: c.paper },
      text: { primary: c.ink, secondary: c.soft },
      divider: c.rule,
      standing: { proven: c.proven, suspect: c.suspect, faulty: c.faulty, unknown: c.unknown },
      sheet: { desk: c.desk, ink: c.ink, rule: c.rule, inset: c.inset },
    },
    shape: { borderRadius: 5 },
    typography: {
      fontFamily: LETTERS,
      fontSize: 15,
      h1: { fontSize: '1.5rem', fontWeight: 700, lineHeight: 1.25 },
      h2: { fontSize: '1.05rem', fontWeight: 700, lineHeight: 1.3 },
      h3: { fontSize: '0.95rem', fontWeight: 700, lineHeight: 1.3 },
      button: { textTransform: 'none', fontWeight: 600 },
    },
    components: {
      // A longer language needs another line rather than a wider screen.
      MuiToggleButtonGroup: { styleOverrides: { root: { flexWrap: 'wrap' } } },
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: { root: { fontFamily: LETTERS } },
      },
      // Nothing glides in: what opens is there at once, and stands still under a finger also while the machine is busy.
      MuiMenu: { defaultProps: { transitionDuration: 0 } },
      MuiPopover: { defaultProps: { transitionDuration: 0 } },
      MuiDialog: { defaultProps: { transitionDuration: 0 } },
      MuiSnackbar: { defaultProps: { transitionDuration: 0 } },
      // A menu opens over the field it belongs to. On a slow machine the same tap ends over whatever came under the finger,
      // which would count as chosen: only a press of its own chooses.
      MuiSelect: {
        defaultProps: {
          MenuProps: { slotProps: { list: { onMouseUpCapture: stopHere } } },
        },
      },
      MuiOutlinedInput: { styleOverrides: { root: { backgroundColor: c.paper } } },
      MuiButton: { styleOverrides: { root: { minHeight: 44 } }, defaultProps: { disableElevation: true } },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            minHeight: 44,
            paddingInline: 12,
            color: c.ink,
            borderColor: c.rule,
            '&.Mui-selected, &.Mui-selected:hover': {
              backgroundColor: c.ink,
              color: c.paper,
            },
          },
        },
      },
      MuiTab: {
        styleOverrides: { root: { minHeight: 44, minWidth: 0, paddingInline: 10, fontSize: '0.95rem' } },
      },
      MuiTabs: { styleOverrides: { root: { minHeight: 44 } } },
      MuiPaper: { defaultProps: { elevation: 0 } },
      MuiCssBaseline: {
        styleOverrides: {
          // A part number of a hundred characters without a blank breaks rather than the screen does.
          body: { fontVariantNumeric: 'tabular-nums', overflowWrap: 'break-word' },
          ':focus-visible': { outline: `3px solid ${c.primary}`, outlineOffset: 2 },
        },
      },
    },
  });
}
