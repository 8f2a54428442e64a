/** What another way costs against one, to a tenth: "costs 1.3 more", "costs 0.2 less", "costs the same". */
export function priceWords(more: number): string {
  const price = Math.abs(more).toFixed(1);
  if (price === '0.0') return 'costs the same';
  return `costs ${price} ${more > 0 ? 'more' : 'less'}`;
}
