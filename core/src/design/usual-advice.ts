/** What improvements are ranked by until somebody says otherwise. */
export const usualAdvice = () => ({
  budget: null,
  weights: { worst: 1, met: 1, money: 1, hours: 1, noise: 1, dust: 1, space: 1 },
  rules: { noNewCircuit: false, noNewBlower: false, highest: null, onCasters: false },
  prices: {},
});
