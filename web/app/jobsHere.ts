import { z } from 'zod';
import { stored } from './stored.ts';

/** The newest of them: who worked on more finds the rest among all. */
const MOST = 2000;

const here = stored<readonly string[]>('lettura.jobs-here', z.array(z.string()), []);

/** The jobs that were opened or read on in this browser, which is as near to "mine" as one comes without accounts. */
export const jobsHere = (): ReadonlySet<string> => new Set(here.load());

/** Notes that somebody works on a job here. */
export function workedOnHere(jobId: string): void {
  const known = here.load();
  if (known[0] !== jobId) here.save([jobId, ...known.filter((one) => one !== jobId)].slice(0, MOST));
}
