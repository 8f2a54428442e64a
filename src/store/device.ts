import { word } from './browserState';

const place = word('local', 'dove-path-device');
let own: string | undefined;

/** A name for this browser, by chance: it tells writings here from those on other computers, and says nothing else. */
export function deviceId(): string {
  own ??= place.read() ?? fresh();
  return own;
}

function fresh(): string {
  const id = crypto.randomUUID().slice(0, 8);
  place.write(id);
  return id;
}
