import type { IncomingMessage } from 'node:http';
import { isIP } from 'node:net';
import * as servingText from '../wording/rooms/serving';

/*
 * Who may come in, before anything is worked out: pure, so that every rule is tested by itself.
 */

/** Why a request is turned away, with the status and what to do. */
export interface TurnedAway {
  readonly status: number;
  readonly message: string;
  /** Methods there are, where the method was wrong. */
  readonly allow?: string;
}

export type Coming = Pick<IncomingMessage, 'method' | 'url' | 'headers'>;

/** The pages that may ask for the microphone: takes, and practice that is judged by ear and begins with tuning. */
const LISTENING = ['/listen', '/practice'];

/** What a page may ask of the machine: nothing, but for those that listen. */
export function permissionsFor(path: string): string {
  const listens = LISTENING.includes(path.replace(/\/$/, ''));
  return `microphone=${listens ? '(self)' : '()'}, camera=(), geolocation=(), payment=(), usb=()`;
}

/** Sent with every answer, pages, files and errors alike. */
export const EVERY_ANSWER: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-resource-policy': 'same-origin',
  // A page brings its own, stricter in what it may run; this one is for files, answers and errors.
  'content-security-policy':
    "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'",
};

const PAGE_METHODS = 'GET, HEAD, OPTIONS';
const API_METHODS = 'POST, OPTIONS';

export const isApi = (path: string) => path.startsWith('/api/');

/** The path of a request without what is asked; null where it cannot be read. */
export function pathOf({ url = '/' }: Coming): string | null {
  try {
    return decodeURI(url).split(/[?#]/)[0];
  } catch {
    return null;
  }
}

/** The methods that a path takes. */
export function methodsOf(path: string): string {
  return isApi(path) ? API_METHODS : PAGE_METHODS;
}

/**
 * Looks at a request before it is let in.
 * @param names host names that this server answers to, besides this machine's own and plain addresses
 * @returns why it is turned away; null where it may come in
 */
export function turnedAway(coming: Coming, names: readonly string[]): TurnedAway | null {
  const { method = 'GET', headers } = coming;
  if (!knownHost(headers.host, names)) return { status: 421, message: servingText.thisServerDoesNot };
  const path = pathOf(coming);
  if (path === null) return { status: 400, message: servingText.thisAddressCannotBe };
  const allow = methodsOf(path);
  const known = isApi(path) ? [...API_METHODS.split(', '), 'GET', 'HEAD', 'PUT', 'DELETE', 'PATCH'] : allow.split(', ');
  if (!known.includes(method))
    return { status: 405, message: servingText.isNotAnsweredHere(method.slice(0, 20), allow), allow };
  if (path.startsWith('/_image')) return { status: 404, message: servingText.thereIsNothingAt };
  if (method !== 'POST') return null;
  if (crossSite(coming)) return { status: 403, message: servingText.thisWasSentBy };
  const coding = headers['content-encoding'];
  if (coding && coding !== 'identity') return { status: 415, message: servingText.compressedRequestsAreNot };
  return null;
}

/** This machine by name, any plain address (a name is what can be turned round to another machine), and the names given. */
function knownHost(host: string | undefined, names: readonly string[]): boolean {
  if (!host) return false;
  const name = host
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase();
  return name === 'localhost' || isIP(name) > 0 || names.includes(name);
}

/** True where a browser says that another site's page sent it. A program says nothing of it. */
function crossSite({ headers }: Coming): boolean {
  const site = headers['sec-fetch-site'];
  if (site !== undefined) return site !== 'same-origin' && site !== 'none';
  if (headers.origin === undefined) return false;
  try {
    return new URL(headers.origin).host !== headers.host;
  } catch {
    return true;
  }
}
