/** A symmetric matrix's eigenvalues, and its orthonormal eigenvectors as columns. */
export interface Eigen {
  readonly values: readonly number[];
  /** vectors[row][column] */
  readonly vectors: readonly (readonly number[])[];
}

/**
 * Eigenvalues and eigenvectors of a small symmetric matrix by cyclic Jacobi rotations.
 * Golub and Van Loan, Matrix Computations, 4th edition, section 8.5.
 *
 * Written here and not taken from a library: the matrices are 5 by 5, this runs a few thousand times a second inside
 * the forecast, and the registry's general packages allocate far more than they reckon at that size.
 *
 * @param matrix square and symmetric; left untouched
 * Accuracy: off-diagonal below 1e-14 of the diagonal.
 * @example [...symmetricEigen([[2, 1], [1, 2]]).values].sort().map((v) => Math.round(v * 1e9) / 1e9) // [1, 3]
 */
export function symmetricEigen(matrix: readonly (readonly number[])[]): Eigen {
  const n = matrix.length;
  const a = matrix.map((row) => [...row]);
  const v = a.map((_, i) => a.map((__, j) => (i === j ? 1 : 0)));
  const at = (m: number[][], i: number, j: number): number => (m[i] as number[])[j] as number;
  const rotate = (m: number[][], i: number, j: number, k: number, l: number, s: number, tau: number): void => {
    const g = at(m, i, j);
    const h = at(m, k, l);
    (m[i] as number[])[j] = g - s * (h + g * tau);
    (m[k] as number[])[l] = h + s * (g - h * tau);
  };
  for (let sweep = 0; sweep < 30; sweep += 1) {
    let off = 0;
    let on = 0;
    for (let i = 0; i < n; i += 1) {
      on += at(a, i, i) ** 2;
      for (let j = i + 1; j < n; j += 1) off += at(a, i, j) ** 2;
    }
    if (off <= 1e-28 * on) break;
    for (let p = 0; p < n - 1; p += 1) {
      for (let q = p + 1; q < n; q += 1) {
        const apq = at(a, p, q);
        if (apq === 0) continue;
        const theta = (at(a, q, q) - at(a, p, p)) / (2 * apq);
        const t = Math.sign(theta || 1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
        const c = 1 / Math.sqrt(t * t + 1);
        const s = t * c;
        const tau = s / (1 + c);
        (a[p] as number[])[p] = at(a, p, p) - t * apq;
        (a[q] as number[])[q] = at(a, q, q) + t * apq;
        (a[p] as number[])[q] = 0;
        for (let j = 0; j < p; j += 1) rotate(a, j, p, j, q, s, tau);
        for (let j = p + 1; j < q; j += 1) rotate(a, p, j, j, q, s, tau);
        for (let j = q + 1; j < n; j += 1) rotate(a, p, j, q, j, s, tau);
        for (let j = 0; j < n; j += 1) rotate(v, j, p, j, q, s, tau);
      }
    }
  }
  return { values: a.map((row, i) => row[i] as number), vectors: v };
}
