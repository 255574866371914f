/** A public function, with input that is good; more than one argument stands in a list that is none of its lists. */
export interface Case {
  name: string
  call: (input: never) => unknown
  good: unknown
  isSpread: boolean
}

export const one = <I>(name: string, call: (input: I) => unknown, good: I): Case => ({
  name,
  call: call as (input: never) => unknown,
  good,
  isSpread: false,
})

export const all = <Rest extends unknown[]>(name: string, call: (...rest: Rest) => unknown, good: Rest): Case => ({
  name,
  call: ((rest: Rest) => call(...rest)) as (input: never) => unknown,
  good,
  isSpread: true,
})
