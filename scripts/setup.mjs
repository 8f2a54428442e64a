/*
 * What demo and test need on a fresh machine: the packages, and for the browser tests Debian's Chromium.
 */
import { spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { setupText } from '../src/wording/setup.mjs';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';

export const CHROMIUM = '/usr/bin/chromium';
const STAMP = 'node_modules/.dove-path-installed';

/** Runs a command with its output shown; stops the whole run where it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (result.error?.code === 'ENOENT') stop(setupText.notHere(command));
  if (result.status !== 0) process.exit(result.status ?? 1);
}

export function stop(message) {
  console.error(message);
  process.exit(1);
}

/** Installs the packages when they are missing or the lock file has changed since. */
export function ensurePackages() {
  const lock = readFileSync('package-lock.json', 'utf8');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === String(lock.length) && !newerLock()) return;
  console.log(setupText.installingPackages);
  // Not "npm ci": npm leaves other platforms' optional packages out of the lock file and then refuses it.
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(STAMP, String(lock.length));
}

function newerLock() {
  return statSync('package-lock.json').mtimeMs > statSync(STAMP).mtimeMs;
}

/** Installs Debian's Chromium when it is missing. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  if (process.getuid?.() !== 0) stop(setupText.needsChromium);
  console.log(setupText.installingChromium);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { env });
  run('apt-get', ['install', '-y', '-qq', 'chromium'], { env });
}

/** Checks that Node is new enough for the packages. */
export function ensureNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 3)) stop(setupText.needsNode(process.versions.node));
}

/** Checks, before anything is built, that a port that was asked for can be had. */
export async function ensurePort(text) {
  const port = Number(text);
  if (!/^\d+$/.test(text) || port > 65535) stop(setupText.portMustBe(text.slice(0, 20)));
  await new Promise((free) => {
    const probe = createServer();
    probe.once('error', ({ code }) =>
      stop(code === 'EADDRINUSE' ? setupText.portInUse(port) : setupText.portUnusable(port, code)),
    );
    probe.listen(port, '127.0.0.1', () => probe.close(free));
  });
}
