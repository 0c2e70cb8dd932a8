// Waits until whoever started it has gone, however it went, and then stops its database: a killed demo leaves nothing running.
// node scripts/stop-after-parent.mjs <folder of the cluster>
import { cluster } from './postgres.mjs';

const database = cluster(process.argv[2]);
let toldToGo = false;
process.stdin.on('data', () => (toldToGo = true));
process.stdin.on('end', () => {
  if (toldToGo) return;
  void database.stop();
});
process.stdin.resume();
// A signal to the whole group of processes is for the demo to answer.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => undefined);
