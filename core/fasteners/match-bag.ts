/** Bolts of one kind in a bag. */
export interface BagBolts {
  /** As it is written everywhere: `M8×1.25`. */
  thread: string
  /** Under the head, in mm. */
  lengthMm: number
  count: number
}

/** A hole that wants a bolt of a known size. */
export interface BoltPlace {
  id: string
  thread: string
  lengthMm: number
}

export interface BagMatch {
  /** Place → the kind of bolt in the bag that goes there, by its index, and how far its length is off, in mm. */
  fits: { place: BoltPlace; bag: number; offMm: number }[]
  /** Places that no bolt of the bag fits. */
  empty: BoltPlace[]
  /** Bolts that go nowhere: kind by index, and how many. */
  over: { bag: number; count: number }[]
}

/** A rule and a bolt's own tolerance leave this much between what is read and what it is, in mm. Common practice, no source. */
const TOLERANCE_MM = 1.5

/**
 * Which bolt of a bag goes where: as many places filled as can be, and among the ways to do that the one with the least difference in length.
 * Bolts of one thread and places of that thread are laid side by side by length; two that cross never fit better than uncrossed.
 * @returns every bolt and every place once
 */
export function matchBag(bag: readonly BagBolts[], places: readonly BoltPlace[]): BagMatch {
  const result: BagMatch = { fits: [], empty: [], over: [] }
  const left = bag.map(({ count }) => count)
  for (const thread of new Set(places.map(place => place.thread))) {
    const own = places.filter(place => place.thread === thread).sort((a, b) => a.lengthMm - b.lengthMm)
    const bolts = bag
      .flatMap((kind, index) =>
        kind.thread === thread ? Array.from({ length: kind.count }, () => ({ index, lengthMm: kind.lengthMm })) : [],
      )
      .sort((a, b) => a.lengthMm - b.lengthMm)
    for (const { place, bolt } of pairs(own, bolts)) {
      const kind = bolt && bolts[bolt.at]!
      if (!kind) {
        result.empty.push(place)
        continue
      }
      left[kind.index]!--
      result.fits.push({ place, bag: kind.index, offMm: Math.abs(kind.lengthMm - place.lengthMm) })
    }
  }
  result.over = left.flatMap((count, index) => (count > 0 ? [{ bag: index, count }] : []))
  return result
}

interface Best {
  filled: number
  offMm: number
}
const isBetter = (one: Best, other: Best) =>
  one.filled > other.filled || (one.filled === other.filled && one.offMm < other.offMm - 1e-9)

/** Pairs two sorted lists without crossing: the best over the first so many of each, looked back from the end. */
function pairs<Place extends { lengthMm: number }>(places: Place[], bolts: { lengthMm: number }[]) {
  const best: Best[][] = places.map(() => [])
  const at = (place: number, bolt: number): Best =>
    place < 0 || bolt < 0 ? { filled: 0, offMm: 0 } : best[place]![bolt]!
  const paired = (place: number, bolt: number): Best | null => {
    const offMm = Math.abs(places[place]!.lengthMm - bolts[bolt]!.lengthMm)
    const before = at(place - 1, bolt - 1)
    return offMm <= TOLERANCE_MM + 1e-9 ? { filled: before.filled + 1, offMm: before.offMm + offMm } : null
  }
  for (let place = 0; place < places.length; place++)
    for (let bolt = 0; bolt < bolts.length; bolt++) {
      const ways = [at(place, bolt - 1), at(place - 1, bolt), paired(place, bolt)].filter(way => way !== null)
      best[place]![bolt] = ways.reduce((found, way) => (isBetter(way, found) ? way : found))
    }
  const found: { place: Place; bolt: { at: number } | null }[] = []
  let bolt = bolts.length - 1
  for (let place = places.length - 1; place >= 0; place--) {
    while (bolt >= 0 && !isBetter(at(place, bolt), at(place, bolt - 1))) bolt--
    const isPaired = bolt >= 0 && isBetter(at(place, bolt), at(place - 1, bolt))
    found.unshift({ place: places[place]!, bolt: isPaired ? { at: bolt } : null })
    if (isPaired) bolt--
  }
  return found
}
