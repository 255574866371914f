/** One way on: what it costs, when it is done, what may go wrong. */
export interface Way {
  id: string
  /** Parts, shop and labour, in the garage's money. */
  money: number
  /** Minutes that the finish moves by, from how the job stands now. */
  finishMinutes: number
  /** How likely this way brings the car back, 0 to 1, and what that would cost. */
  chance: number
  comebackCost: number
  /** Why this way is closed, or `null`. */
  closed: string | null
}

export interface WeighedWay extends Way {
  /** Money with the risk in it. */
  expected: number
  /** Minutes past the promised time, 0 where it is kept; `null` where none was promised. */
  lateMinutes: number | null
}

export interface WaysCompared {
  ways: WeighedWay[]
  /** The cheapest way, risk counted, that is likely to hold and keeps the promise; where none does, the cheapest that is likely to hold. `null` where every way is closed. */
  advised: string | null
  /** An earlier or cheaper way that loses for one reason only. */
  because: string
}

/** From here on a way is advised only where there is no other. */
const TOO_LIKELY = 0.5

/**
 * Puts ways on side by side: money, days and risk against the promised time.
 * @param slackMinutes minutes between the finish as it stands and the promised time; `null` where nothing was promised
 */
export function compareWays(ways: Way[], slackMinutes: number | null): WaysCompared {
  const weighed = ways.map((way): WeighedWay => ({
    ...way,
    expected: way.money + way.chance * way.comebackCost,
    lateMinutes: slackMinutes === null ? null : Math.max(0, way.finishMinutes - slackMinutes),
  }))
  const open = weighed.filter(way => way.closed === null)
  // A way that more likely than not brings the car back is no way to keep a promise.
  const sound = open.filter(way => way.chance < TOO_LIKELY)
  const inTime = sound.filter(way => (way.lateMinutes ?? 0) === 0)
  const cheapest = (list: WeighedWay[]) =>
    list.length === 0 ? null : list.reduce((best, way) => (way.expected < best.expected ? way : best))
  const advised = cheapest(inTime) ?? cheapest(sound) ?? cheapest(open)
  const overall = cheapest(sound)
  const because = !advised
    ? 'Every way is closed.'
    : inTime.length === 0 && slackMinutes !== null
      ? 'No way that is likely to hold keeps the promised time; this one costs least. Tell the customer now.'
      : overall && overall.id !== advised.id
        ? 'A cheaper way would break the promised time.'
        : 'It costs least with its risk counted.'
  return { ways: weighed, advised: advised?.id ?? null, because }
}
