/** What is used of the `dxf` package: it walks the lines of a text once, so it cannot be held up by one. */
declare module 'dxf' {
  interface Point {
    readonly x: number;
    readonly y: number;
  }

  /** Something drawn; what a damaged drawing leaves out is undefined or no number. */
  export interface Entity {
    readonly type: string;
    /** Of a polyline. */
    readonly vertices?: readonly Point[];
    readonly closed?: boolean;
    /** Of a line. */
    readonly start?: Point;
    readonly end?: Point;
  }

  export interface Drawing {
    readonly header: { readonly insUnits?: number };
    readonly entities: readonly Entity[];
  }

  /** Throws on what is no drawing. */
  export function parseString(text: string): Drawing;
}
