import { MACHINES } from '@lettura/bench';
import { weighJob } from '@lettura/core/weighing';
import { exampleCase } from '/work/main/core/reasoning/exampleCase.ts';
for (const id of process.argv.slice(2)) { const m = MACHINES.find(m=>m.id===id)!;
const {family,profile,companion}=m.sensor; const wires=m.wiring.wires.map(w=>w.wire);
const cf=exampleCase([],{family,profile,companion,codes:[]}); const t=performance.now(); weighJob(cf,wires); console.log(id,(performance.now()-t)|0); }
