/** Statistics, as an outside judge in tests; ships without types. */
declare module 'jstat' {
  const jStat: {
    hypgeom: { cdf(x: number, N: number, m: number, n: number): number };
    binomial: { pdf(k: number, n: number, p: number): number };
    beta: { cdf(x: number, a: number, b: number): number };
  };
  export default { jStat };
}
