import * as servingText from '../wording/rooms/serving';
/*
 * How the server is run, from the environment.
 */

export interface ServerSettings {
  readonly host: string;
  readonly port: number;
  /** Names it answers to, besides this machine's own and plain addresses. */
  readonly names: readonly string[];
  /** True where each request is one line of the log. */
  readonly log: boolean;
}

/** @returns the settings, or a sentence that says what is wrong with them */
export function readSettings(env: Readonly<Record<string, string | undefined>>): ServerSettings | string {
  const { HOST: host = '127.0.0.1', PORT = '4321', ALLOWED_HOSTS = '', LOG = 'on' } = env;
  const port = Number(PORT);
  if (!/^\d+$/.test(PORT) || port > 65535) return servingText.portIsItMust(PORT.slice(0, 20));
  const names = ALLOWED_HOSTS.split(',').map((name) => name.trim().toLowerCase());
  return { host, port, names: names.filter((name) => name !== ''), log: LOG !== 'off' };
}

/** Why a server could not listen, in a sentence. */
export function listenTrouble(error: NodeJS.ErrnoException, { host, port }: ServerSettings): string {
  switch (error.code) {
    case 'EADDRINUSE':
      return servingText.portIsInUse(port);
    case 'EACCES':
      return servingText.portMayNotBe(port);
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return servingText.isNotAnAddress(host);
    default:
      return servingText.theServerCannotListen(host, port, error.code ?? error.message);
  }
}
