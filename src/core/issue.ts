/** Something in a request that cannot be understood: where, and a code with data; the words are found above the core. */
export interface Issue {
  /** As in JSON pointers: "/material/tonic". */
  readonly path: string;
  readonly code: string;
  readonly data?: IssueData;
}

export type IssueData = Readonly<Record<string, string | number | boolean | null | readonly (string | number)[]>>;
