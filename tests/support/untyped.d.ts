/* What the packages used in tests alone do not say of themselves. */

declare module 'midi-parser-js' {
  const parser: { parse(bytes: Uint8Array): unknown };
  export default parser;
}

declare module 'verovio/wasm' {
  const create: () => Promise<object>;
  export default create;
}

declare module 'verovio/esm' {
  export class VerovioToolkit {
    constructor(module: object);
    loadData(data: string): boolean;
    getMEI(options: object): string;
  }
}
