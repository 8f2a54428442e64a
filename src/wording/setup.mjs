/*
 * What the scripts say that run before anything is installed, so in plain JavaScript.
 */

export const setupText = {
  notHere: (command) => `"${command}" is not on this machine; please install it and run this again.`,
  installingPackages: 'Installing the packages …',
  needsChromium:
    'The browser tests need Chromium. Install it once as root: apt-get update && apt-get install -y chromium',
  installingChromium: 'Installing Chromium …',
  needsNode: (version) => `Dove Path needs Node 20.3 or newer; this is ${version}.`,
  portMustBe: (text) => `PORT is "${text}"; it must be a whole number from 0 to 65535.`,
  portInUse: (port) => `Port ${port} is in use already. Stop what uses it, or choose another with PORT.`,
  portUnusable: (port, code) => `Port ${port} cannot be used (${code}). Choose another with PORT.`,
  ready: (address) => `Dove Path is ready, with demo data: ${address}`,
  heading: (script) => `\n— ${script} —\n`,
  done: (script, code, seconds) => `${script}: ${code === 0 ? 'passed' : 'FAILED'} after ${Math.round(seconds)} s`,
  took: (seconds, cpu) =>
    `All of it took ${Math.floor(seconds / 60)} min ${Math.round(seconds % 60)} s` +
    (cpu === null ? '.' : `, and ${(cpu / 60).toFixed(1)} min of the processors.`),
  noSuchTest: (names, folder) => `No unit test is called ${names}. They are in ${folder}.`,
};
