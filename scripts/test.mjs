/*
 * npm test: installs what is missing, then type check, build and lint beside the unit tests, then the browser tests.
 */
import { spawn } from 'node:child_process';
import { ensureChromium, ensureNode, ensurePackages, run } from './setup.mjs';

/** One after the other in a lane; the lanes side by side. */
const LANES = [['types', 'build', 'lint'], ['unit']];

ensureNode();
ensurePackages();
ensureChromium();
const codes = await Promise.all(LANES.map(runLane));
const failed = codes.find((code) => code !== 0);
if (failed !== undefined) process.exit(failed);
console.log('\n— e2e —');
run('npm', ['run', '-s', 'e2e']);

/** @returns the exit code of the first script that fails, or 0 */
async function runLane(scripts) {
  for (const script of scripts) {
    const code = await runQuietly(script);
    if (code !== 0) return code;
  }
  return 0;
}

/** Runs a script and prints what it said once it is done, so that the lanes' words do not mix. */
function runQuietly(script) {
  const child = spawn('npm', ['run', '-s', script], { stdio: ['ignore', 'pipe', 'pipe'] });
  const said = [];
  child.stdout.on('data', (part) => said.push(part));
  child.stderr.on('data', (part) => said.push(part));
  return new Promise((done) => {
    child.on('close', (code) => {
      console.log(`\n— ${script} —\n${Buffer.concat(said).toString()}`);
      done(code ?? 1);
    });
  });
}
