const PLACE = 'dove-path-device';
let own: string | undefined;

/** A name for this browser, by chance: it tells writings here from those on other computers, and says nothing else. */
export function deviceId(): string {
  own ??= kept();
  return own;
}

function kept(): string {
  const fresh = crypto.randomUUID().slice(0, 8);
  try {
    const before = localStorage.getItem(PLACE);
    if (before) return before;
    localStorage.setItem(PLACE, fresh);
  } catch {
    // Where storage is blocked the name lasts as long as the page.
  }
  return fresh;
}
