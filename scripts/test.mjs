/*
 * npm test: installs what is missing; then the build and the browser tests in one lane, unit tests, types and lint in the other. What a script said is printed
 * once it is done, so that the lanes' words do not mix; the time it all took comes before the test runners' own last lines.
 */
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { setupText } from '../src/wording/setup.mjs';
import { ensureChromium, ensureNode, ensurePackages, run } from './setup.mjs';

/** One after the other in a lane; the lanes side by side, as a machine of two cores can. */
const LANES = [
  ['build', 'e2e'],
  ['unit', 'types', 'lint'],
];
/** The test runners, whose words come last. */
const RUNNERS = ['unit', 'e2e'];

const started = Date.now();
ensureNode();
ensurePackages();
ensureChromium();
run('npm', ['run', '-s', 'prepare']);
const said = new Map();
const codes = await Promise.all(LANES.map(runLane));
console.log(setupText.took((Date.now() - started) / 1000, cpuSeconds()));
for (const runner of RUNNERS) if (said.has(runner)) console.log(setupText.heading(runner) + said.get(runner));
process.exit(codes.find((code) => code !== 0) ?? 0);

/** @returns the exit code of the first script that fails, or 0 */
async function runLane(scripts) {
  for (const script of scripts) {
    const code = await runQuietly(script);
    if (code !== 0) return code;
  }
  return 0;
}

function runQuietly(script) {
  const begun = Date.now();
  const child = spawn('npm', ['run', '-s', script], { stdio: ['ignore', 'pipe', 'pipe'] });
  const parts = [];
  child.stdout.on('data', (part) => parts.push(part));
  child.stderr.on('data', (part) => parts.push(part));
  return new Promise((done) => {
    child.on('close', (code) => {
      const words = Buffer.concat(parts).toString();
      console.log(setupText.done(script, code ?? 1, (Date.now() - begun) / 1000));
      if (RUNNERS.includes(script)) said.set(script, words);
      else console.log(words);
      done(code ?? 1);
    });
  });
}

/** What all that was started here took of the processors, in seconds; null where the system does not tell. */
function cpuSeconds() {
  try {
    const fields = readFileSync('/proc/self/stat', 'utf8').split(') ')[1].split(' ');
    // utime, stime, cutime, cstime in hundredths.
    return [11, 12, 13, 14].reduce((sum, at) => sum + Number(fields[at]), 0) / 100;
  } catch {
    return null;
  }
}
