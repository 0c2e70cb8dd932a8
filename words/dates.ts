const DAY_MONTH_YEAR = { day: 'numeric', month: 'short', year: 'numeric' } as const;
const CLOCK = { hour: '2-digit', minute: '2-digit' } as const;

/** Moments as they are written, by the clock of a time zone; that of this machine unless one is given. */
export function datesIn(timeZone?: string) {
  const zone = timeZone === undefined ? {} : { timeZone };
  const write = (form: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat('en-GB', { ...form, ...zone });
    return (instant: string): string => format.format(new Date(instant));
  };
  return {
    clockTime: write(CLOCK),
    dayAndClock: write({ day: 'numeric', month: 'short', ...CLOCK }),
    dayAndTime: write({ ...DAY_MONTH_YEAR, ...CLOCK }),
  };
}

const DAY = new Intl.DateTimeFormat('en-GB', { ...DAY_MONTH_YEAR, timeZone: 'UTC' });
/** A day of the calendar, whatever the clock says where it is read. */
export const day = (onDate: string): string => DAY.format(new Date(onDate));
