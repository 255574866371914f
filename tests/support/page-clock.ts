/** The content of a script that lets a page's clock run ahead of the machine's; behind it where that is negative. The last one given counts. */
export const clockAhead = (aheadMs: number) => `{
  const Real = globalThis.RealDate ?? Date
  globalThis.RealDate = Real
  globalThis.Date = class extends Real {
    constructor(...given) {
      if (given.length > 0) super(...given)
      else super(Real.now() + ${aheadMs})
    }
    static now() {
      return Real.now() + ${aheadMs}
    }
  }
}`
