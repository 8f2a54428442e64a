/*
 * npm run demo: installs, builds, starts the production server with demo data and prints the address.
 * PORT chooses the port; without it a free one is taken.
 */
import { spawn } from 'node:child_process';
import { setupText } from '../src/wording/setup.mjs';
import { ensureNode, ensurePackages, ensurePort, run } from './setup.mjs';

ensureNode();
if (process.env.PORT) await ensurePort(process.env.PORT);
ensurePackages();
run('npm', ['run', '-s', 'build', '--', '--silent']);

const { default: getPort } = await import('get-port');
const port = process.env.PORT ? Number(process.env.PORT) : await getPort({ port: 4321 });

const server = spawn(process.execPath, ['dist/server/entry.mjs'], {
  stdio: ['ignore', 'ignore', 'inherit'],
  env: { ...process.env, HOST: '127.0.0.1', PORT: String(port), LOG: 'off' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

const address = `http://127.0.0.1:${port}/?demo`;
for (let tries = 0; tries < 100; tries++) {
  try {
    await fetch(address);
    console.log(setupText.ready(address));
    break;
  } catch {
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
