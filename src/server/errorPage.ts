import { PRODUCT } from '../wording/rooms/pages';
import * as pagesText from '../wording/rooms/pages';

/** A page for what is turned away before the app: one sentence and the way back. */
export function errorPage(status: number, message: string): string {
  return `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${pagesText.title(String(status))}</title></head>
<body><main><h1>${PRODUCT}</h1><p>${escaped(message)}</p><p><a href="/">${pagesText.toTheBench}</a></p></main></body>
</html>
`;
}

const MARKS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (mark) => MARKS[mark]);
}
