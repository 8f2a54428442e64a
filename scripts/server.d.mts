export function startServer(): Promise<{ readonly address: string; readonly stop: () => void; memoryMb: () => number }>;
export const BROWSER: { readonly executablePath: string; readonly args: string[] };
