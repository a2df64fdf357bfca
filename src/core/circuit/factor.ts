/**
 * Numbers on a structure: L D Lᵀ of a symmetric matrix, real or complex, and the solution of one right-hand side. Nothing is allocated
 * after `makeFactor`; the arrays are the caller's to fill and read.
 */
import type { Structure } from './structure';

/** A pivot below this share of what stood on its diagonal before elimination is rounding: the node is the 0 V of its island. */
const VANISHED = 1e-11;

export interface Numbers {
  /** Entries of the matrix by slot; after factoring, L below the diagonal. */
  readonly re: Float64Array;
  readonly im: Float64Array;
  /** Diagonal before elimination, by node: what a pivot is measured against. */
  readonly scale: Float64Array;
  /** 1 / pivot by node; 0 where the node is the 0 V of its island. */
  readonly inverseRe: Float64Array;
  readonly inverseIm: Float64Array;
  /** Right-hand side in, node voltages out. */
  readonly xRe: Float64Array;
  readonly xIm: Float64Array;
}

export function numbersFor(structure: Structure): Numbers {
  const n = structure.nodes.length;
  return {
    re: new Float64Array(structure.slots),
    im: new Float64Array(structure.slots),
    scale: new Float64Array(n),
    inverseRe: new Float64Array(n),
    inverseIm: new Float64Array(n),
    xRe: new Float64Array(n),
    xIm: new Float64Array(n)
  };
}

/** Eliminates the columns from `first` to `last` (excluded), real numbers only. */
export function factorReal(structure: Structure, numbers: Numbers, first: number, last: number): void {
  const { diagonal, updateStart, target, left, right } = structure;
  const { re, scale, inverseRe } = numbers;
  for (let k = first; k < last; k += 1) {
    const start = diagonal[k]!;
    const end = diagonal[k + 1]!;
    const pivot = re[start]!;
    const inverse = Math.abs(pivot) <= VANISHED * scale[k]! ? 0 : 1 / pivot;
    inverseRe[k] = inverse;
    const stop = updateStart[k + 1]!;
    for (let u = updateStart[k]!; u < stop; u += 1)
      re[target[u]!]! -= re[left[u]!]! * re[right[u]!]! * inverse;
    for (let s = start + 1; s < end; s += 1) re[s]! *= inverse;
  }
}

/** Solves for the right-hand side in `xRe`, in place. */
export function solveReal(structure: Structure, numbers: Numbers): void {
  const { diagonal, rows } = structure;
  const { re, inverseRe, xRe } = numbers;
  const n = inverseRe.length;
  for (let k = 0; k < n; k += 1) {
    const value = xRe[k]!;
    if (value === 0) continue;
    const end = diagonal[k + 1]!;
    for (let s = diagonal[k]! + 1; s < end; s += 1) xRe[rows[s]!]! -= re[s]! * value;
  }
  for (let k = n - 1; k >= 0; k -= 1) {
    let value = xRe[k]! * inverseRe[k]!;
    const end = diagonal[k + 1]!;
    for (let s = diagonal[k]! + 1; s < end; s += 1) value -= re[s]! * xRe[rows[s]!]!;
    xRe[k] = inverseRe[k] === 0 ? 0 : value;
  }
}

/** As `factorReal`, complex. */
export function factorComplex(structure: Structure, numbers: Numbers, first: number, last: number): void {
  const { diagonal, updateStart, target, left, right } = structure;
  const { re, im, scale, inverseRe, inverseIm } = numbers;
  for (let k = first; k < last; k += 1) {
    const start = diagonal[k]!;
    const end = diagonal[k + 1]!;
    const pivotRe = re[start]!;
    const pivotIm = im[start]!;
    const square = pivotRe * pivotRe + pivotIm * pivotIm;
    const least = VANISHED * scale[k]!;
    const vanished = square <= least * least;
    const inRe = vanished ? 0 : pivotRe / square;
    const inIm = vanished ? 0 : -pivotIm / square;
    inverseRe[k] = inRe;
    inverseIm[k] = inIm;
    const stop = updateStart[k + 1]!;
    for (let u = updateStart[k]!; u < stop; u += 1) {
      const l = left[u]!;
      const r = right[u]!;
      const t = target[u]!;
      const lRe = re[l]!;
      const lIm = im[l]!;
      const rRe = re[r]!;
      const rIm = im[r]!;
      const pRe = lRe * rRe - lIm * rIm;
      const pIm = lRe * rIm + lIm * rRe;
      re[t]! -= pRe * inRe - pIm * inIm;
      im[t]! -= pRe * inIm + pIm * inRe;
    }
    for (let s = start + 1; s < end; s += 1) {
      const eRe = re[s]!;
      const eIm = im[s]!;
      re[s] = eRe * inRe - eIm * inIm;
      im[s] = eRe * inIm + eIm * inRe;
    }
  }
}

/** As `solveReal`, complex. */
export function solveComplex(structure: Structure, numbers: Numbers): void {
  const { diagonal, rows } = structure;
  const { re, im, inverseRe, inverseIm, xRe, xIm } = numbers;
  const n = inverseRe.length;
  for (let k = 0; k < n; k += 1) {
    const vRe = xRe[k]!;
    const vIm = xIm[k]!;
    if (vRe === 0 && vIm === 0) continue;
    const end = diagonal[k + 1]!;
    for (let s = diagonal[k]! + 1; s < end; s += 1) {
      const row = rows[s]!;
      xRe[row]! -= re[s]! * vRe - im[s]! * vIm;
      xIm[row]! -= re[s]! * vIm + im[s]! * vRe;
    }
  }
  for (let k = n - 1; k >= 0; k -= 1) {
    const iRe = inverseRe[k]!;
    const iIm = inverseIm[k]!;
    let vRe = xRe[k]! * iRe - xIm[k]! * iIm;
    let vIm = xRe[k]! * iIm + xIm[k]! * iRe;
    const end = diagonal[k + 1]!;
    for (let s = diagonal[k]! + 1; s < end; s += 1) {
      const row = rows[s]!;
      vRe -= re[s]! * xRe[row]! - im[s]! * xIm[row]!;
      vIm -= re[s]! * xIm[row]! + im[s]! * xRe[row]!;
    }
    const zero = iRe === 0 && iIm === 0;
    xRe[k] = zero ? 0 : vRe;
    xIm[k] = zero ? 0 : vIm;
  }
}
