import { Resvg } from '@resvg/resvg-js';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { placed, type Page } from '../../src/drawing/paper/ink';
import { outlined } from '../../src/drawing/paper/outlined';
import { pdfOf, type FontFiles, type PdfWords } from '../../src/drawing/paper/pdf';
import { svgOf } from '../../src/drawing/paper/svg';

/*
 * Pages as files, outside a browser: the same drawing with the same fonts.
 */

const require = createRequire(import.meta.url);
const file = (name: string) => readFileSync(require.resolve(name));

const fontFiles = (): FontFiles => ({
  sans: file('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff'),
  bold: file('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff'),
  serif: file('@fontsource/literata/files/literata-latin-400-normal.woff'),
  title: file('@fontsource/literata/files/literata-latin-700-normal.woff'),
});

/** Dots of a picture in an inch. */
const DPI = 200;

export function pdfFile(pages: readonly Page[], words: PdfWords): Promise<Uint8Array> {
  return pdfOf(pages, words, fontFiles(), new Date());
}

/** Several pages as one picture, one under the other. */
export function svgFile(pages: readonly Page[], title: string): string {
  return svgOf(outlined(stacked(pages), fontFiles()), title);
}

export function pngFile(pages: readonly Page[], title: string): Uint8Array {
  const { width } = pages[0];
  const picture = new Resvg(svgFile(pages, title), {
    background: '#fff',
    fitTo: { mode: 'width', value: Math.round((width / 72) * DPI) },
    font: { loadSystemFonts: false },
  });
  return picture.render().asPng();
}

function stacked(pages: readonly Page[]): Page {
  const [{ width, height }] = pages;
  const inks = pages.flatMap((page, n) => placed(page.inks, 1, 0, n * height));
  return { width, height: height * pages.length, inks };
}
