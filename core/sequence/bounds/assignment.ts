/** A cost matrix solved as an assignment: its least total, and the prices that prove it. */
export interface Assignment {
  total: number
  /** Row and column prices: `rows[i] + columns[j] ≤ cost(i, j)` everywhere, and they add up to `total`. */
  rows: Float64Array
  columns: Float64Array
}

/**
 * Least-cost assignment of every row to a column of its own.
 * Hungarian method with shortest augmenting paths, O(n³). Source: Jonker and Volgenant 1987, from memory.
 * @param size rows and columns
 * @param cost finite for every pair; a forbidden pair is given a cost beyond any sum of the others
 */
export function assign(size: number, cost: (row: number, column: number) => number): Assignment {
  const costs = new Float64Array(size * size)
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) costs[row * size + column] = cost(row, column)
  const rows = new Float64Array(size + 1)
  const columns = new Float64Array(size + 1)
  /** Column → row it is given to, both counted from 1. */
  const holder = new Int32Array(size + 1)
  const way = new Int32Array(size + 1)
  for (let row = 1; row <= size; row++) {
    holder[0] = row
    const least = new Float64Array(size + 1).fill(Infinity)
    const used = new Uint8Array(size + 1)
    let column = 0
    do {
      used[column] = 1
      const current = holder[column]!
      const base = (current - 1) * size - 1
      const price = rows[current]!
      let delta = Infinity
      let nearest = 0
      for (let other = 1; other <= size; other++) {
        if (used[other]) continue
        const reduced = costs[base + other]! - price - columns[other]!
        if (reduced < least[other]!) {
          least[other] = reduced
          way[other] = column
        }
        if (least[other]! < delta) {
          delta = least[other]!
          nearest = other
        }
      }
      for (let other = 0; other <= size; other++) {
        if (used[other]) {
          rows[holder[other]!]! += delta
          columns[other]! -= delta
        } else least[other]! -= delta
      }
      column = nearest
    } while (holder[column] !== 0)
    do {
      const previous = way[column]!
      holder[column] = holder[previous]!
      column = previous
    } while (column !== 0)
  }
  let total = 0
  for (let at = 1; at <= size; at++) total += rows[at]! + columns[at]!
  return { total, rows: rows.slice(1), columns: columns.slice(1) }
}
