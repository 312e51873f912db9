/** A share in whole per cent: “12 %”. */
export const percent = (share: number): string => `${Math.round(100 * share)}\u00a0%`;
