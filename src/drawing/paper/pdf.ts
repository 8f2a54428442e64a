import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, PDFHexString, PDFName, PDFNumber, rgb, type PDFFont, type PDFPage, type PDFRef } from 'pdf-lib';
import type { FontName, Ink, Page, Paint, Tone } from './ink';
import { glyphOf } from './words';
import { PAPER_TONES, pathText } from './tones';
import { PRODUCT } from '../../wording/rooms/pages';

/*
 * Pages as a PDF: everything drawn as lines and shapes, words as words in fonts that are put in with the letters that are used.
 */

/** The font files, as they are shipped. */
export type FontFiles = Readonly<Record<FontName, Uint8Array>>;

export interface PdfWords {
  readonly title: string;
  readonly author: string;
  /** What the reader's program lists at the side. */
  readonly bookmarks?: readonly { readonly title: string; readonly page: number }[];
}

/** A tone as the PDF says it. */
function colour(tone: Tone = 'ink') {
  const digits = PAPER_TONES[tone].slice(1);
  const [red, green, blue] = [0, 1, 2].map((at) => parseInt(digits[at], 16) / 15);
  return rgb(red, green, blue);
}

/**
 * @param now when it is made; the same pages at the same time give the same file
 * @returns the file
 */
export async function pdfOf(
  pages: readonly Page[],
  { title, author, bookmarks = [] }: PdfWords,
  files: FontFiles,
  now: Date,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(title, { showInWindowTitleBar: true });
  pdf.setAuthor(author);
  pdf.setCreator(PRODUCT);
  pdf.setProducer(PRODUCT);
  pdf.setCreationDate(now);
  pdf.setModificationDate(now);
  pdf.setLanguage('en');
  const used = new Set(pages.flatMap(({ inks }) => inks.flatMap((ink) => (ink.kind === 'text' ? [ink.font] : []))));
  const fonts = new Map<FontName, PDFFont>();
  for (const name of used) fonts.set(name, await pdf.embedFont(files[name], { subset: true }));
  for (const { width, height, inks } of pages) {
    const page = pdf.addPage([width, height]);
    for (const ink of inks) draw(page, ink, height, fonts);
  }
  if (bookmarks.length > 0) putBookmarks(pdf, bookmarks);
  return pdf.save();
}

function draw(page: PDFPage, ink: Ink, height: number, fonts: ReadonlyMap<FontName, PDFFont>) {
  switch (ink.kind) {
    case 'glyph':
      page.drawSvgPath(glyphOf(ink.glyph).d, { x: ink.x, y: height - ink.y, scale: ink.size, color: colour(ink.tone) });
      return;
    case 'line':
      page.drawLine({
        start: { x: ink.x1, y: height - ink.y1 },
        end: { x: ink.x2, y: height - ink.y2 },
        thickness: ink.width,
        color: colour(ink.tone),
        ...(ink.dash ? { dashArray: [...ink.dash] } : {}),
      });
      return;
    case 'shape':
      page.drawSvgPath(pathText(ink.path), { x: 0, y: height, ...paint(ink) });
      return;
    case 'text': {
      const font = fonts.get(ink.font);
      if (font)
        page.drawText(drawable(ink.text, font), {
          x: ink.x,
          y: height - ink.y,
          size: ink.size,
          font,
          color: colour(ink.tone),
        });
      return;
    }
    case 'box':
      page.drawRectangle({ x: ink.x, y: height - ink.y - ink.h, width: ink.w, height: ink.h, ...paint(ink) });
      return;
    case 'disc':
      page.drawCircle({ x: ink.x, y: height - ink.y, size: ink.r, ...paint(ink) });
      return;
  }
}

function paint({ fill, stroke, width, opacity, dash }: Paint) {
  return {
    color: fill && colour(fill),
    opacity,
    borderColor: stroke && colour(stroke),
    borderWidth: stroke && (width ?? 1),
    borderDashArray: dash && [...dash],
  };
}

/** Letters that the font has not are shown as a question mark, and nothing fails for them. */
function drawable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((letter) => (known.has(letter.codePointAt(0) as number) ? letter : '?')).join('');
}

/** The list of pages at the side. */
function putBookmarks(pdf: PDFDocument, bookmarks: NonNullable<PdfWords['bookmarks']>) {
  const { context } = pdf;
  const root = context.nextRef();
  const refs: PDFRef[] = bookmarks.map(() => context.nextRef());
  const pages = pdf.getPages();
  bookmarks.forEach(({ title, page }, n) => {
    const target = pages[page - 1] ?? pages[0];
    const entry = context.obj({ Parent: root, Dest: [target.ref, PDFName.of('Fit')] });
    entry.set(PDFName.of('Title'), PDFHexString.fromText(title));
    if (n > 0) entry.set(PDFName.of('Prev'), refs[n - 1]);
    if (n + 1 < refs.length) entry.set(PDFName.of('Next'), refs[n + 1]);
    context.assign(refs[n], entry);
  });
  const outline = context.obj({ Type: 'Outlines', First: refs[0], Last: refs[refs.length - 1] });
  outline.set(PDFName.of('Count'), PDFNumber.of(refs.length));
  context.assign(root, outline);
  pdf.catalog.set(PDFName.of('Outlines'), root);
  pdf.catalog.set(PDFName.of('PageMode'), PDFName.of('UseOutlines'));
}
