declare module 'jstat' {
  interface Curve {
    inv: (share: number, ...about: number[]) => number
    pdf: (at: number, ...about: number[]) => number
  }
  const jstat: Record<'studentt' | 'normal' | 'poisson', Curve>
  export default jstat
}
