/*
 * npm test: installs what is missing, then type check, lint, unit tests, build and browser tests.
 */
import { ensureChromium, ensureNode, ensurePackages, run } from './setup.mjs';

ensureNode();
ensurePackages();
ensureChromium();
for (const script of ['check', 'lint', 'unit', 'build', 'e2e']) {
  console.log(`\n— ${script} —`);
  run('npm', ['run', '-s', script]);
}
