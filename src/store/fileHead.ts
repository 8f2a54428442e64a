import { BadRequest, parseJson } from '../contract/read';

/** What a file of ours begins with. */
export interface FileHead {
  readonly format?: unknown;
  readonly version?: unknown;
}

/** A file's text as an object; `broken` where it is not JSON or was cut off, `other` where it holds something else. */
export function fileHead(text: string): FileHead | 'broken' | 'other' {
  try {
    const value = parseJson(text);
    return typeof value === 'object' && value !== null ? value : 'other';
  } catch (error) {
    if (error instanceof BadRequest) return 'broken';
    throw error;
  }
}
