/** How much is known of a wire or a cause; never told by colour alone, a mark and a word always go with it. */
export interface Standing {
  proven: string;
  suspect: string;
  faulty: string;
  unknown: string;
}

export const COLOURS = {
  light: {
    desk: '#ece6d9',
    paper: '#fbf9f4',
    inset: '#f1ece1',
    ink: '#1c2a35',
    soft: '#4a5963',
    rule: '#b9b09d',
    primary: '#1f4e68',
    proven: '#1d6b45',
    suspect: '#8a5300',
    faulty: '#a8251f',
    unknown: '#5a6168',
  },
  dim: {
    desk: '#1a1f22',
    paper: '#242b2f',
    inset: '#2d363b',
    ink: '#efe9dc',
    soft: '#c0bfb6',
    rule: '#56626a',
    primary: '#8fc4de',
    proven: '#7fd3a4',
    suspect: '#f0b860',
    faulty: '#ff9a90',
    unknown: '#aab2b6',
  },
  daylight: {
    desk: '#ffffff',
    paper: '#ffffff',
    inset: '#f0f0f0',
    ink: '#000000',
    soft: '#262626',
    rule: '#4d4d4d',
    primary: '#00308a',
    proven: '#00522a',
    suspect: '#6e3800',
    faulty: '#a00000',
    unknown: '#333333',
  },
} as const;
