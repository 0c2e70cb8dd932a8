/** One line per slow step, with how long it took. */
export async function step(what, work) {
  const start = Date.now();
  console.log(`… ${what}`);
  const result = await work();
  console.log(`✓ ${what} (${((Date.now() - start) / 1000).toFixed(1)} s)`);
  return result;
}

/** Ends the command with a reason and what to do about it. */
export class Stop extends Error {}

/** Runs a command's main function; a Stop is told plainly, a bug with its stack. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    console.error(error instanceof Stop ? `\n${error.message}` : error);
    process.exitCode = 1;
  }
}
