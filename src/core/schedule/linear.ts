/** A symmetric positive definite matrix, row by row. */
export type Matrix = Float64Array[];

/** The lower triangle of the Cholesky factorization of a matrix. @throws Error where it is not positive definite. */
export function cholesky(a: Matrix): Matrix {
  const n = a.length;
  const lower = Array.from({ length: n }, () => new Float64Array(n));
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) {
      let sum = a[i]![k]!;
      for (let j = 0; j < k; j++) sum -= lower[i]![j]! * lower[k]![j]!;
      if (i === k) {
        if (!(sum > 0)) throw new Error('The matrix is not positive definite.');
        lower[i]![i] = Math.sqrt(sum);
      } else lower[i]![k] = sum / lower[k]![k]!;
    }
  return lower;
}

/** Solves L x = b. */
export function forward(lower: Matrix, b: Float64Array): Float64Array {
  const x = Float64Array.from(b);
  for (let i = 0; i < x.length; i++) {
    for (let k = 0; k < i; k++) x[i]! -= lower[i]![k]! * x[k]!;
    x[i]! /= lower[i]![i]!;
  }
  return x;
}

/** Solves (L Lᵀ) x = b. */
export function solve(lower: Matrix, b: Float64Array): Float64Array {
  const x = forward(lower, b);
  for (let i = x.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < x.length; k++) x[i]! -= lower[k]![i]! * x[k]!;
    x[i]! /= lower[i]![i]!;
  }
  return x;
}
