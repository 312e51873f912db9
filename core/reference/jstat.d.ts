declare module 'jstat' {
  export const jStat: {
    readonly normal: {
      /** Share of a normal distribution below x. */
      readonly cdf: (x: number, mean: number, sigma: number) => number;
    };
    readonly studentt: {
      /** Value of Student's t below which a share lies. */
      readonly inv: (share: number, freedom: number) => number;
    };
  };
}
