/** Small dense systems: as many rows as a series has trials, or as a picture has points. Row by row in one array. */

export interface Matrix {
  readonly n: number;
  readonly at: Float64Array;
}

export const matrix = (n: number, of: (i: number, j: number) => number): Matrix => {
  const at = new Float64Array(n * n);
  for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) at[i * n + j] = of(i, j);
  return { n, at };
};

export const times = (a: Matrix, b: Matrix): Matrix =>
  matrix(a.n, (i, j) => {
    let sum = 0;
    for (let k = 0; k < a.n; k++) sum += a.at[i * a.n + k]! * b.at[k * a.n + j]!;
    return sum;
  });

export const applied = (a: Matrix, x: ArrayLike<number>): Float64Array => {
  const out = new Float64Array(a.n);
  for (let i = 0; i < a.n; i++) for (let j = 0; j < a.n; j++) out[i]! += a.at[i * a.n + j]! * x[j]!;
  return out;
};

export function product(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** A matrix taken apart for solving: `log` is the natural logarithm of its determinant's size. */
export interface Solved {
  readonly log: number;
  readonly of: (b: ArrayLike<number>) => Float64Array;
}

/** Gaussian elimination with the largest pivot of each column. @returns null where the matrix is singular. */
export function solved({ n, at }: Matrix): Solved | null {
  const lu = Float64Array.from(at);
  const order = Array.from({ length: n }, (_, i) => i);
  let log = 0;
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(lu[i * n + k]!) > Math.abs(lu[best * n + k]!)) best = i;
    if (Math.abs(lu[best * n + k]!) < 1e-14) return null;
    if (best !== k) {
      for (let j = 0; j < n; j++) [lu[k * n + j], lu[best * n + j]] = [lu[best * n + j]!, lu[k * n + j]!];
      [order[k], order[best]] = [order[best]!, order[k]!];
    }
    log += Math.log(Math.abs(lu[k * n + k]!));
    for (let i = k + 1; i < n; i++) {
      const factor = (lu[i * n + k]! /= lu[k * n + k]!);
      for (let j = k + 1; j < n; j++) lu[i * n + j]! -= factor * lu[k * n + j]!;
    }
  }
  return {
    log,
    of: (b) => {
      const x = new Float64Array(n);
      for (let i = 0; i < n; i++) x[i] = b[order[i]!]!;
      for (let i = 0; i < n; i++) for (let j = 0; j < i; j++) x[i]! -= lu[i * n + j]! * x[j]!;
      for (let i = n - 1; i >= 0; i--) {
        for (let j = i + 1; j < n; j++) x[i]! -= lu[i * n + j]! * x[j]!;
        x[i]! /= lu[i * n + i]!;
      }
      return x;
    },
  };
}

/** The lower triangle whose product with its mirror is a covariance, with as little added to its diagonal as it takes. */
export function rootOf({ n, at }: Matrix): Float64Array {
  for (let jitter = 1e-10; ; jitter *= 10) {
    const root = new Float64Array(n * n);
    let good = true;
    for (let i = 0; i < n && good; i++)
      for (let j = 0; j <= i && good; j++) {
        let sum = at[i * n + j]! + (i === j ? jitter : 0);
        for (let k = 0; k < j; k++) sum -= root[i * n + k]! * root[j * n + k]!;
        if (i === j) {
          good = sum > 0;
          root[i * n + i] = Math.sqrt(Math.max(0, sum));
        } else root[i * n + j] = sum / root[j * n + j]!;
      }
    if (good || jitter > 1) return root;
  }
}
