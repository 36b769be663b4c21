declare module 'quadprog' {
  /** Goldfarb and Idnani's method; all arrays are counted from 1. */
  export function solveQP(
    Dmat: number[][],
    dvec: number[],
    Amat: number[][],
    bvec: number[],
    meq?: number
  ): { solution: number[]; value: number[]; message: string }
}
