/** Writes an error into the log. @returns what it is found by there, and is told to the user */
export function logged(error: unknown): string {
  const id = crypto.randomUUID().slice(0, 8);
  console.error(`${new Date().toISOString()} ${id}`, error);
  return id;
}
