import { telegramsIn } from '../../core/recording/telegram/index.ts';
import reference from '../../core/recording/telegram/reference/telegrams.json' with { type: 'json' };

const EDGES = 1_000_000;
const ROUNDS = 7;

/** A million edges into frames, against a bare loop that only takes each pulse's length. */
export function telegramRatio(): { value: number; unit: string; ratio: number } {
  const falling = edges();
  const decode = () => telegramsIn(falling)?.status.length ?? 0;
  const bare = () => {
    let sum = 0;
    for (let i = 1; i < falling.length; i++) sum += falling[i]! - falling[i - 1]!;
    return sum;
  };
  const fastest = (work: () => number): number => {
    let least = Infinity;
    for (let round = 0; round < ROUNDS; round++) {
      const start = performance.now();
      if (!(work() > 0)) throw new Error('There is nothing in it.');
      least = Math.min(least, performance.now() - start);
    }
    return least;
  };
  const milliseconds = fastest(decode);
  return { value: milliseconds, unit: 'ms', ratio: milliseconds / fastest(bare) };
}

/** The pulses of one reference capture over and over. */
function edges(): Float64Array {
  const [first] = reference.cases;
  const pulses = first!.edges
    .slice(1, -1)
    .map((edge, i) => (edge - first!.edges[i]!) / reference.edgesPerSecond);
  const falling = new Float64Array(EDGES);
  for (let i = 1; i < EDGES; i++) falling[i] = falling[i - 1]! + pulses[(i - 1) % pulses.length]!;
  return falling;
}
