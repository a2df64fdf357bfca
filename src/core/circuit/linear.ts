/** Dense linear algebra for circuits of some tens of unknowns. */

/**
 * Solves A x = b in place by LU with partial pivoting: `a` is row-major n × n and is overwritten, `b` becomes x.
 * Returns -1, or the column whose pivot vanished, which names the unknown that the equations leave undetermined.
 */
export function solveInPlace(a: Float64Array, b: Float64Array, n: number): number {
  for (let k = 0; k < n; k += 1) {
    let pivot = k;
    for (let row = k + 1; row < n; row += 1) {
      if (Math.abs(a[row * n + k]!) > Math.abs(a[pivot * n + k]!)) pivot = row;
    }
    if (Math.abs(a[pivot * n + k]!) < 1e-12) return k;
    if (pivot !== k) swapRows(a, b, n, pivot, k);
    for (let row = k + 1; row < n; row += 1) {
      const factor = a[row * n + k]! / a[k * n + k]!;
      if (factor === 0) continue;
      for (let column = k; column < n; column += 1) a[row * n + column]! -= factor * a[k * n + column]!;
      b[row]! -= factor * b[k]!;
    }
  }
  for (let row = n - 1; row >= 0; row -= 1) {
    let sum = b[row]!;
    for (let column = row + 1; column < n; column += 1) sum -= a[row * n + column]! * b[column]!;
    b[row] = sum / a[row * n + row]!;
  }
  return -1;
}

function swapRows(a: Float64Array, b: Float64Array, n: number, one: number, two: number): void {
  for (let column = 0; column < n; column += 1) {
    const held = a[one * n + column]!;
    a[one * n + column] = a[two * n + column]!;
    a[two * n + column] = held;
  }
  const held = b[one]!;
  b[one] = b[two]!;
  b[two] = held;
}
