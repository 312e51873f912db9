declare module 'jstat' {
  export const jStat: {
    readonly studentt: {
      /** Value of Student's t below which a share lies. */
      readonly inv: (share: number, freedom: number) => number;
    };
  };
}
