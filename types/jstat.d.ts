declare module "jstat" {
  /** What is used of it: distributions, by their parameters. */
  const jstat: {
    readonly jStat: {
      readonly beta: { inv(p: number, alpha: number, beta: number): number };
      readonly studentt: { inv(p: number, df: number): number };
      readonly centralF: { cdf(x: number, df1: number, df2: number): number };
      readonly chisquare: { cdf(x: number, df: number): number };
      readonly normal: { cdf(x: number, mean: number, sd: number): number };
    };
  };
  export default jstat;
}
