/** Straight-line fits over any stretch of a series, each in constant time. */
export class RunningLine {
  private readonly sums: number[][] = [[0, 0, 0, 0, 0]]

  /** Adds the next point of the series. */
  add(x: number, y: number): void {
    const [sx, sy, sxx, sxy, syy] = this.sums.at(-1)!
    this.sums.push([sx! + x, sy! + y, sxx! + x * x, sxy! + x * y, syy! + y * y])
  }

  /**
   * Least-squares line through points `from` up to and without `to`.
   * @returns slope, middle, sum of squared distances of x from its mean, and the residual standard deviation
   */
  fit(
    from: number,
    to: number,
  ): { slope: number; at: (x: number) => number; meanX: number; spreadXX: number; count: number; sigma: number } {
    const [a, b] = [this.sums[from]!, this.sums[to]!]
    const count = to - from
    const [sx, sy, sxx, sxy, syy] = b.map((value, index) => value - a[index]!) as [
      number,
      number,
      number,
      number,
      number,
    ]
    const meanX = sx / count
    const meanY = sy / count
    const spreadXX = Math.max(0, sxx - sx * meanX)
    const slope = spreadXX > 0 ? (sxy - sx * meanY) / spreadXX : 0
    const residual = Math.max(0, syy - sy * meanY - slope * (sxy - sx * meanY))
    return {
      slope,
      at: x => meanY + slope * (x - meanX),
      meanX,
      spreadXX,
      count,
      sigma: count > 2 ? Math.sqrt(residual / (count - 2)) : 0,
    }
  }
}
