/** Blocks of samples, one after the other. */
export function joinedBlocks(blocks: readonly Float32Array[]): Float32Array<ArrayBuffer> {
  const all = new Float32Array(blocks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const block of blocks) {
    all.set(block, at);
    at += block.length;
  }
  return all;
}
