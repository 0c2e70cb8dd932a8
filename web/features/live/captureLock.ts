const PREFIX = 'lettura-capture ';

/**
 * Holds a capture for this page, so that no other takes it for left over. A page that dies lets go by itself; browsers
 * without locks, and pages that are not on a secure address, hold nothing.
 *
 * @returns lets go
 */
export function holdCapture(id: string): () => void {
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  // Older browsers have none, whatever the types say.
  const locks = navigator.locks as LockManager | undefined;
  void locks?.request(PREFIX + id, () => held);
  return () => letGo();
}

/** The captures that some page holds just now. */
export async function heldCaptures(): Promise<ReadonlySet<string>> {
  const locks = navigator.locks as LockManager | undefined;
  const { held = [] } = (await locks?.query()) ?? {};
  return new Set(held.flatMap(({ name }) => (name?.startsWith(PREFIX) ? [name.slice(PREFIX.length)] : [])));
}
