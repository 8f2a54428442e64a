import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import sans from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import serif from '@fontsource/literata/files/literata-latin-400-normal.woff?url';
import title from '@fontsource/literata/files/literata-latin-700-normal.woff?url';
import type { FontFiles } from '../../drawing/paper/pdf';

/** The font files that are put into PDFs and pictures: they are shipped with the app. */
export async function fontFiles(): Promise<FontFiles> {
  const [a, b, c, d] = await Promise.all([sans, bold, serif, title].map(fetched));
  return { sans: a, bold: b, serif: c, title: d };
}

async function fetched(address: string): Promise<Uint8Array> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`font ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
}
