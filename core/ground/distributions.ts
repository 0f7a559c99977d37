import jstat from "jstat";

/** Distributions, from a library. Functions, so that a page that needs none of them does not carry it. */

/** Where a beta distribution has reached p. */
export const betaInverse = (p: number, alpha: number, beta: number): number =>
  jstat.jStat.beta.inv(p, alpha, beta);
/** Where Student’s t has reached p. */
export const studentInverse = (p: number, df: number): number => jstat.jStat.studentt.inv(p, df);
/** Share of an F distribution up to x. */
export const fShare = (x: number, df1: number, df2: number): number => jstat.jStat.centralF.cdf(x, df1, df2);
/** Share of a chi-square distribution up to x. */
export const chiSquareShare = (x: number, df: number): number => jstat.jStat.chisquare.cdf(x, df);
/** Share of the standard normal distribution up to z. */
export const normalShare = (z: number): number => jstat.jStat.normal.cdf(z, 0, 1);
