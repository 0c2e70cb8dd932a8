/**
 * A two-terminal part whose current is a rising, continuous, piecewise linear function of its voltage: at most three
 * straight pieces. A regulator with its current limit and the clamp of an input are such parts, so that they are solved
 * exactly instead of iterated.
 */
export interface Conductor {
  /** Volts (first terminal less second) where the next piece begins, rising; one fewer than the slopes. */
  breaksVolts: readonly number[];
  /** Of each piece, in siemens; above zero, since a piece without slope would leave a node without a voltage. */
  slopesSiemens: readonly number[];
  /** Amperes into the first terminal where each piece, drawn out, meets zero volts; each given, so that none is rounded. */
  interceptsAmps: readonly number[];
}

export const MOST_PIECES = 3;

/** What a source or a diode lets through where it should let nothing through: silicon leaks about that much. */
const LEAK_SIEMENS = 1e-9;
/** A regulator in its limit gives a little more as it is pulled lower. */
const LIMITED_SIEMENS = 1e-6;

/** A voltage behind a resistance; `ohms` above zero, as every real source has some. */
export const source = (volts: number, ohms: number): Conductor => {
  check('A source', { volts }, { ohms });
  return { breaksVolts: [], slopesSiemens: [1 / ohms], interceptsAmps: [-volts / ohms] };
};

/** A supply that gives its voltage up to a limit, then holds the current; it never takes current in. */
export const limitedSupply = (volts: number, ohms: number, limitAmps: number): Conductor => {
  check('A supply', { volts }, { ohms, limitAmps });
  const limitVolts = volts - ohms * limitAmps;
  return {
    breaksVolts: [limitVolts, volts],
    slopesSiemens: [LIMITED_SIEMENS, 1 / ohms, LEAK_SIEMENS],
    interceptsAmps: [-limitAmps - LIMITED_SIEMENS * limitVolts, -volts / ohms, -LEAK_SIEMENS * volts],
  };
};

/** Conducts from the first terminal to the second past `volts`: what keeps an input between its rails. */
export const clamp = (volts: number, ohms: number): Conductor => {
  check('A clamp', { volts }, { ohms });
  return {
    breaksVolts: [volts],
    slopesSiemens: [LEAK_SIEMENS, 1 / ohms],
    interceptsAmps: [0, LEAK_SIEMENS * volts - volts / ohms],
  };
};

/** A resistance to ground beside a diode that conducts once the first terminal is this far below the second. */
export const divider = (ohms: number, diodeVolts: number, diodeOhms: number): Conductor => {
  check('A divider', { diodeVolts }, { ohms, diodeOhms });
  return {
    breaksVolts: [-diodeVolts],
    slopesSiemens: [1 / diodeOhms, 1 / ohms],
    interceptsAmps: [diodeVolts / diodeOhms - diodeVolts / ohms, 0],
  };
};

/** A part with a value that none can have would give a voltage that nobody reads: it is refused by name instead. */
function check(part: string, finite: Record<string, number>, aboveZero: Record<string, number>): void {
  // Names alone are walked, since pairs of names and values are made anew for each of many thousand parts.
  for (const name in finite)
    if (!Number.isFinite(finite[name]))
      throw new Error(`${part} cannot have ${name} = ${finite[name]}: it must be a number.`);
  for (const name in aboveZero)
    if (!(aboveZero[name]! > 0 && Number.isFinite(aboveZero[name])))
      throw new Error(`${part} cannot have ${name} = ${aboveZero[name]}: it must be above zero and finite.`);
}
