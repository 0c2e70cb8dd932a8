/**
 * The output of an active sensor: a voltage above its own common, behind a resistance, that cannot leave a band between
 * two shares of its supply. What it gives out comes from the supply pin, what it takes in goes to the common, as in any
 * push–pull output; without a supply it is a resistance to its common. A diode keeps the supply pin from falling far below
 * the common, as the substrate of every chip does.
 */
export interface Stage {
  output: number;
  supply: number;
  common: number;
  /** The output is `share · supply + offsetVolts`: a ratiometric sensor has no offset, an absolute one no share. */
  share: number;
  offsetVolts: number;
  /** Rails, as shares of the supply: 0 ≤ low < high ≤ 1. */
  lowestShare: number;
  highestShare: number;
  outputOhms: number;
}

/** Of the substrate diode from common to supply. */
export const SUBSTRATE = { volts: 0.5, ohms: 1 };

/** How the output stands to its rails, and which way its current flows: eight straight pieces. */
export const STAGE_PIECES = 8;
const OFF = 0;
const LOW = 1;
const FOLLOWS = 2;
const HIGH = 3;
/** Added to the rail: current comes out, and so from the supply. */
export const GIVES = 4;
export const FIRST_STAGE_PIECE = FOLLOWS;

/** The open-circuit voltage on a piece is `supplyShareOn · supply + offsetOn`. */
export function supplyShareOn(
  piece: number,
  share: number,
  lowestShare: number,
  highestShare: number,
): number {
  switch (piece & 3) {
    case OFF:
      return 0;
    case LOW:
      return lowestShare;
    case HIGH:
      return highestShare;
    default:
      return share;
  }
}
/** Volts that an output stage adds on a piece of its characteristic; none on its rails. */
export const offsetOn = (piece: number, offsetVolts: number): number =>
  (piece & 3) === FOLLOWS ? offsetVolts : 0;

/** The piece on which a stage with this supply and this output voltage lies; the one it is on, where it lies on an edge. */
export function stagePieceAt(
  piece: number,
  supplyVolts: number,
  outputVolts: number,
  share: number,
  offsetVolts: number,
  lowestShare: number,
  highestShare: number,
  edgeVolts: number,
): number {
  const rail = piece & 3;
  const wanted = share * supplyVolts + offsetVolts;
  const lowest = lowestShare * supplyVolts;
  const highest = highestShare * supplyVolts;
  let next = rail;
  if (supplyVolts < -edgeVolts) next = OFF;
  // On an edge two rails give the same voltage: staying keeps the search from going to and fro.
  else if (rail === OFF ? supplyVolts > edgeVolts : !isOn(rail, wanted, lowest, highest, edgeVolts)) {
    next = wanted < lowest ? LOW : wanted > highest ? HIGH : FOLLOWS;
  }
  const open =
    supplyShareOn(next, share, lowestShare, highestShare) * supplyVolts + offsetOn(next, offsetVolts);
  const excess = open - outputVolts;
  const gives = Math.abs(excess) <= edgeVolts ? piece & GIVES : excess > 0 ? GIVES : 0;
  return next | gives;
}

function isOn(rail: number, wanted: number, lowest: number, highest: number, edge: number): boolean {
  switch (rail) {
    case LOW:
      return wanted <= lowest + edge;
    case HIGH:
      return wanted >= highest - edge;
    default:
      return wanted >= lowest - edge && wanted <= highest + edge;
  }
}
