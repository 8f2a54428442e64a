/*
 * npm run demo: installs, builds, starts the production server with demo data and prints the address.
 * PORT chooses the port; a free one is taken where it is in use.
 */
import { spawn } from 'node:child_process';
import { ensureNode, ensurePackages, run } from './setup.mjs';

ensureNode();
ensurePackages();
run('npx', ['astro', 'build', '--silent']);

const { default: getPort } = await import('get-port');
const wanted = Number(process.env.PORT) || 4321;
const port = await getPort({ port: wanted });
if (port !== wanted) console.log(`Port ${wanted} is in use; taking ${port}.`);

const server = spawn(process.execPath, ['dist/server/entry.mjs'], {
  stdio: ['ignore', 'ignore', 'inherit'],
  env: { ...process.env, HOST: '127.0.0.1', PORT: String(port) },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

const address = `http://127.0.0.1:${port}/?demo`;
for (let tries = 0; tries < 100; tries++) {
  try {
    await fetch(address);
    console.log(`Dove Path is ready, with demo data: ${address}`);
    break;
  } catch {
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
