/** Fills an empty studio with the made-up one; its practice of six weeks follows while the page stands. */
export async function openDemo(): Promise<void> {
  const { fillWithDemo } = await import('../store/demo');
  if (!(await fillWithDemo())) return;
  const { fillWithDemoPractice } = await import('./practice/demo');
  void fillWithDemoPractice().catch((error: unknown) => console.error(error));
}
