declare module 'dxf' {
  export class Helper {
    constructor(text: string);
    readonly parsed: unknown;
  }
}
