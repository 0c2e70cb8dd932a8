// Makes spice.json beside this file: the node voltages of every reference network by ngspice, one process each.
// node --import tsx core/machine/fault/reference/makeSpiceReference.ts (Debian package ngspice)
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { referenceNetworks } from './spiceNetworks.ts';
import { spiceDeck } from './spiceDeck.ts';

const version = /ngspice-\S+/u.exec(spawnSync('ngspice', ['--version'], { encoding: 'utf8' }).stdout)?.[0];
const networks = referenceNetworks();
const folder = mkdtempSync(join(tmpdir(), 'spice-'));
const deck = join(folder, 'network.cir');
let helped = 0;
const results = networks.map(({ name, wiring: { network } }) => {
  network.solve();
  // From nothing; where that does not converge, from our own voltages: they must then hold for ngspice as well.
  const fromNothing = solved(spiceDeck(network.parts(), () => 0));
  if (fromNothing) return { name, volts: fromNothing };
  helped++;
  return { name, helped: true, volts: solved(spiceDeck(network.parts(), (node) => network.volts(node))) };
});

function solved(text: string): Record<string, number> | undefined {
  writeFileSync(deck, text);
  const { stdout, stderr } = spawnSync('ngspice', ['-b', deck], { encoding: 'utf8' });
  const volts = [...stdout.matchAll(/^v\(n(\d+)\) = (\S+)/gmu)].map(
    ([, node, value]) => [node as string, Number(value)] as const,
  );
  const failed = /singular|no convergence|failed/iu.test(stdout + stderr) || volts.length === 0;
  return failed ? undefined : Object.fromEntries(volts);
}
rmSync(folder, { recursive: true });
const text = [
  `{"solver":${JSON.stringify(version)},"networks":[`,
  results.map((result) => JSON.stringify(result)).join(',\n'),
  ']}',
  '',
].join('\n');
writeFileSync(new URL('spice.json', import.meta.url), text);
const unsolved = results.filter(({ volts }) => !volts);
console.log(
  `${results.length} networks, ${helped} begun from our voltages, ${unsolved.length} without a result`,
);
for (const { name } of unsolved) console.log(name);
