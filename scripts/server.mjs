/* Starts the built server for scripts, on a free port of this machine. */
import { spawn } from 'node:child_process';
import getPort from 'get-port';

/** @returns the address and a way to stop it again */
export async function startServer() {
  const port = await getPort();
  const address = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['dist/server/entry.mjs'], {
    stdio: 'ignore',
    env: { ...process.env, HOST: '127.0.0.1', PORT: String(port) },
  });
  // However the script ends, the server ends with it.
  process.once('exit', () => server.kill());
  for (let tries = 0; tries < 100; tries++) {
    const up = await fetch(address).then(
      () => true,
      () => false,
    );
    if (up) return { address, stop: () => server.kill() };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  server.kill();
  throw new Error('The built server does not start; run npm run build and look at its output.');
}

export const BROWSER = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
