/** A line that is longer than anybody may send. */
export class LineTooLong extends Error {}

/**
 * The lines of a text that comes piece by piece. A piece may end within a character.
 *
 * @param mostBytes of a line; throws `LineTooLong` beyond it, before it is held as a whole
 */
export async function* linesOf(pieces: AsyncIterable<Buffer>, mostBytes: number): AsyncGenerator<string> {
  let begun: Buffer[] = [];
  let bytes = 0;
  const take = (piece: Buffer): void => {
    bytes += piece.length;
    if (bytes > mostBytes) throw new LineTooLong();
    begun.push(piece);
  };
  const ended = (): string => {
    const line = Buffer.concat(begun).toString('utf8');
    begun = [];
    bytes = 0;
    return line;
  };
  for await (const piece of pieces) {
    let from = 0;
    for (let at = piece.indexOf(NEW_LINE); at >= 0; at = piece.indexOf(NEW_LINE, from)) {
      take(piece.subarray(from, at));
      yield ended();
      from = at + 1;
    }
    take(piece.subarray(from));
  }
  if (bytes > 0) yield ended();
}

const NEW_LINE = 0x0a;
