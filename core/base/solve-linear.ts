/**
 * Solves a square linear system by elimination with row exchange.
 * @returns x of `matrix · x = load`
 * @throws RangeError when the matrix is singular or not square
 */
export function solveLinear(matrix: number[][], load: number[]): number[] {
  const size = load.length
  if (matrix.length !== size || matrix.some(row => row.length !== size))
    throw new RangeError('the matrix is not square')
  const rows = matrix.map((row, index) => [...row, load[index]!])
  for (let column = 0; column < size; column++) {
    const pivot = rows.reduce(
      (best, row, index) => (index >= column && Math.abs(row[column]!) > Math.abs(rows[best]![column]!) ? index : best),
      column,
    )
    if (rows[pivot]![column] === 0) throw new RangeError('the system has no single solution')
    ;[rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!]
    for (let row = column + 1; row < size; row++) {
      const factor = rows[row]![column]! / rows[column]![column]!
      for (let index = column; index <= size; index++) rows[row]![index]! -= factor * rows[column]![index]!
    }
  }
  const solution = new Array<number>(size).fill(0)
  for (let row = size - 1; row >= 0; row--) {
    const known = solution.reduce((sum, value, index) => sum + (index > row ? rows[row]![index]! * value : 0), 0)
    solution[row] = (rows[row]![size]! - known) / rows[row]![row]!
  }
  return solution
}
