import type { TerminalCount } from './bodies.ts';
import { PLUG_TESTS, type PlugReading, type PlugTest, ROLES } from './plugTest.ts';
import type { Bias } from '../../measure/transfer/index.ts';
import { scenariosFor } from './scenarios.ts';
import { unlikeSound } from './unlikeSound.ts';
import { Tally } from './tally.ts';
import { hasOnlyOhms, type TerminalFinding } from './terminalFinding.ts';
import { nextTest } from './nextTest.ts';

export interface WireFinding {
  terminals: readonly TerminalFinding[];
  /** The measurement that tells most for its minutes; none left where no measurement would tell more. */
  next?: { terminal: number; test: PlugTest };
  /** Nothing known agrees with the readings: more than one fault, a slipped probe, or a body that is not known. */
  contradictory: boolean;
}

/** Enough to act on with care, and to be proven by the next reading. */
const LIKELY_SHARE = 0.8;

/**
 * Names the terminals of a plug from what was measured there. Every body of that many terminals, sound and with every
 * single fault, is laid over the plug in every order; what disagrees with a reading falls away.
 *
 * @param allowed tests that can be made now, since a plug may have to stay on, or off
 * @param bias which way the unit pulls its inputs, as far as that is known of this sensor
 */
export function findWires(
  terminals: TerminalCount,
  readings: readonly PlugReading[],
  allowed: readonly PlugTest[] = PLUG_TESTS,
  bias: Bias = 'unknown',
): WireFinding {
  const byTerminal = Array.from({ length: terminals }, (_, terminal) =>
    readings.filter((reading) => reading.terminal === terminal),
  );
  const tally = new Tally(terminals);
  for (const scenario of scenariosFor(terminals)) tally.add(scenario, byTerminal);
  const contradictory = tally.total === 0;
  const found = byTerminal.map((own, terminal) => {
    const finding = findingFor(terminal, tally, own);
    const unlike =
      finding.role && finding.confidence !== 'open' && unlikeSound(terminals, finding.role, own, bias);
    return unlike ? { ...finding, unlike } : finding;
  });
  const next = contradictory ? undefined : nextTest(terminals, tally, readings, found, allowed);
  return { terminals: found, contradictory, ...(next ? { next } : {}) };
}

function findingFor(terminal: number, tally: Tally, own: readonly PlugReading[]): TerminalFinding {
  const shares = ROLES.map((role) => ({ role, share: tally.shareOf(terminal, role) }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share);
  const [first, ...others] = shares;
  if (!first) return { terminal, confidence: 'open', share: 0, couldBe: [] };
  const alone = others.length === 0;
  const confidence =
    alone && !hasOnlyOhms(own) ? 'certain' : alone || first.share >= LIKELY_SHARE ? 'likely' : 'open';
  return {
    terminal,
    confidence: own.length === 0 && confidence !== 'certain' ? 'open' : confidence,
    role: first.role,
    share: first.share,
    couldBe: others,
  };
}
