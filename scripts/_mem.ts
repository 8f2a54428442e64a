import fc from 'fast-check';
import { demandingRequest, hostileRequest } from '../tests/support/fuzz';
import { startServer } from './server.mjs';
const good = fc.sample(demandingRequest, { numRuns: 400, seed: 20261125 });
const hostile = fc.sample(hostileRequest, { numRuns: 400, seed: 20261125 }).map((v) => JSON.stringify(v));
const mixed = [...good.map((r) => JSON.stringify(r)), ...hostile];
const s = await startServer();
for (let at = 0; at <= 34000; at++) {
  const a = await fetch(`${s.address}/api/plan`, { method: 'POST', body: mixed[at % mixed.length] });
  await a.arrayBuffer();
  if (at % 2000 === 0) console.log(at, s.memoryMb().toFixed(0));
}
s.stop();process.exit(0);
