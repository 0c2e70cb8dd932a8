/**
 * Which nodes are one point (shorted together), and which hang together at all. An island without a path to ground has
 * voltages among its own nodes only.
 */
export class Islands {
  readonly #point: Int32Array;
  readonly #island: Int32Array;

  constructor(nodeCount: number) {
    this.#point = new Int32Array(nodeCount);
    this.#island = new Int32Array(nodeCount);
  }

  /** Every node on its own. */
  reset(): void {
    for (let node = 0; node < this.#point.length; node++) this.#point[node] = this.#island[node] = node;
  }

  /** A short: both nodes are one point. */
  merge(a: number, b: number): void {
    join(this.#point, a, b);
    join(this.#island, a, b);
  }

  /** A path: both nodes are in one island. */
  tie(a: number, b: number): void {
    join(this.#island, a, b);
  }

  /** The node that stands for the point. */
  pointOf(node: number): number {
    return root(this.#point, node);
  }

  /** The node that stands for the island; 0 for all that is tied to battery negative. It is its datum, too. */
  islandOf(node: number): number {
    return root(this.#island, node);
  }
}

/** The lower number leads, so that battery negative stands for whatever is tied to it. */
function join(leader: Int32Array, a: number, b: number): void {
  const first = root(leader, a);
  const second = root(leader, b);
  if (first < second) leader[second] = first;
  else leader[first] = second;
}

function root(leader: Int32Array, node: number): number {
  let at = node;
  while (leader[at] !== at) {
    leader[at] = leader[leader[at]!]!; // halves the path for the next time
    at = leader[at]!;
  }
  return at;
}
