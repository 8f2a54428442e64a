/* Starts the built server for scripts, on a free port of this machine. */
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import getPort from 'get-port';

/** @returns the address and a way to stop it again */
export async function startServer() {
  const port = await getPort();
  const address = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['dist/server/entry.mjs'], {
    stdio: 'ignore',
    env: { ...process.env, HOST: '127.0.0.1', PORT: String(port), LOG: 'off' },
  });
  // However the script ends, the server ends with it.
  process.once('exit', () => server.kill());
  for (let tries = 0; tries < 100; tries++) {
    const up = await fetch(address).then(
      () => true,
      () => false,
    );
    if (up) return { address, stop: () => server.kill(), memoryMb: () => memoryOf(server.pid) };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  server.kill();
  throw new Error('The built server does not start; run npm run build and look at its output.');
}

/** Memory of a process in MB, as the machine counts it. */
function memoryOf(pid) {
  const [, kilobytes] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return Number(kilobytes) / 1024;
}

/*
 * A window of the browser fetches two pages of its own for what would be typed into its address line: half a second of a processor each time. The other
 * names are what the test runner switches off itself, for the last list holds.
 */
const OFF = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'OptimizationHints',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
];

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
    '--disable-extensions',
    `--disable-features=${OFF.join(',')}`,
  ],
};
