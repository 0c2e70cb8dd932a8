import { list, say, verbatim, type Message, type MessageList } from '../../measure/message/index.ts';
import { isMakersCode, knownCode, type CodeCircuit, type KnownCode } from './codeTable.ts';

/** One code in words: what the unit saw, what that can be, and what it does not say. */
export interface CodeRead {
  code: string;
  saw: Message;
  /** Left out where nothing is known of it. */
  means?: Message;
  notSaid?: Message;
}

/** What a code is about. */
export const circuitSaid = (circuit: CodeCircuit): Message => say(`codes.circuit-${circuit}`);

/** Any code, also one that no table knows: it is kept, and said to be unknown. */
export function readCode(code: string): CodeRead {
  const known = knownCode(code);
  if (!known) return { code, saw: isMakersCode(code) ? say('codes.makers-own') : say('codes.unknown') };
  const { circuits, sort } = known;
  const isSupply = circuits[0].startsWith('supply-');
  const circuit = list(circuits.map(circuitSaid), 'and');
  return {
    code,
    saw: say(`codes.saw-${sort}`, { circuit }),
    means: isSupply
      ? say('codes.means-supply')
      : sort === 'correlation' && !circuits.every(isTrack)
        ? say('codes.means-two-sources')
        : say(`codes.means-${sort}`),
    notSaid: isSupply ? say('codes.not-supply') : say(`codes.not-${sort}`),
  };
}

const isTrack = (circuit: CodeCircuit): boolean => /^(?:throttle|pedal)-/u.test(circuit);

/** Tracks that share a body, and with it a plug. */
const BODIES: readonly (readonly CodeCircuit[])[] = [
  ['throttle-a', 'throttle-b', 'throttle-c'],
  ['pedal-d', 'pedal-e', 'pedal-f'],
  // The air's temperature is mostly measured within the meter or beside the pressure.
  ['air-flow-a', 'air-temperature-1'],
  ['manifold-pressure', 'air-temperature-1'],
  ['boost-a', 'charge-temperature'],
];

/** What several codes say together that none says alone, the first to look at first. */
export function readTogether(codes: readonly string[]): Message[] {
  const known = [...new Set(codes)].flatMap((code) => knownCode(code) ?? []);
  const supplies = known.filter(isOfSupply);
  const signals = known.filter((one) => !isOfSupply(one));
  const found: Message[] = [];
  if (supplies.length > 0 && signals.length > 0)
    found.push(say('codes.supply-first', { supplies: named(supplies), others: named(signals) }));
  for (const { code, circuits, sort } of signals) {
    if (sort !== 'correlation') continue;
    const tracks = signals.filter(
      (one) => one.sort !== 'correlation' && one.circuits.some((circuit) => circuits.includes(circuit)),
    );
    if (tracks.length > 0)
      found.push(say('codes.correlation-follows', { code: verbatim(code), tracks: named(tracks) }));
  }
  for (const body of BODIES) {
    const lost = signals.filter(
      ({ sort, circuits }) => (sort === 'low' || sort === 'high') && body.includes(circuits[0]),
    );
    if (new Set(lost.map(({ circuits }) => circuits[0])).size > 1)
      found.push(say('codes.share-a-plug', { codes: named(lost) }));
  }
  for (const low of signals.filter(({ sort }) => sort === 'low')) {
    const high = signals.find(({ sort, circuits }) => sort === 'high' && circuits[0] === low.circuits[0]);
    if (high)
      found.push(
        say('codes.both-ways', { codes: named([low, high]), circuit: circuitSaid(low.circuits[0]) }),
      );
  }
  return found;
}

const isOfSupply = ({ circuits }: KnownCode): boolean => circuits[0].startsWith('supply-');
const named = (codes: readonly KnownCode[]): MessageList =>
  list(
    codes.map(({ code }) => verbatim(code)),
    'and',
  );
