/** A stream of numbers from 0 up to 1. */
type Random = () => number

/** A draw from the standard normal curve. Marsaglia's polar method, 1964; from memory. */
export function normal(random: Random): number {
  for (;;) {
    const [u, v] = [2 * random() - 1, 2 * random() - 1]
    const w = u * u + v * v
    if (w > 0 && w < 1) return u * Math.sqrt((-2 * Math.log(w)) / w)
  }
}

/** A draw from Student's t with so many degrees of freedom, above zero. Bailey's polar method, 1994; from memory. */
export function studentT(random: Random, degrees: number): number {
  for (;;) {
    const [u, v] = [2 * random() - 1, 2 * random() - 1]
    const w = u * u + v * v
    if (w > 0 && w < 1) return u * Math.sqrt((degrees * (w ** (-2 / degrees) - 1)) / w)
  }
}

/** How often something happens that happens `mean` times on average, each time for itself. Knuth's product, for a mean of some dozens at most; from memory. */
export function poisson(random: Random, mean: number): number {
  const least = Math.exp(-mean)
  let [count, left] = [0, random()]
  while (left > least) {
    count++
    left *= random()
  }
  return count
}
