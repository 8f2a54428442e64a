let awake: WakeLockSentinel | null = null;

/** Keeps the screen from going dark while a session runs, where the browser can. */
export async function keepAwake(on: boolean) {
  try {
    if (!on) await awake?.release();
    awake = on ? ((await navigator.wakeLock?.request('screen')) ?? null) : null;
  } catch {
    // A screen that goes dark is a nuisance, not a fault.
  }
}
