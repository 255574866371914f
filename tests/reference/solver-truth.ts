import fc from 'fast-check'
import type { sequence } from '../../core'

/** A random job with places, heights, tools, links and waits; whole minutes, so that sums are exact. */
export function jobs(size: { min: number; max: number }) {
  return fc
    .record({
      steps: fc.array(
        fc.record({
          place: fc.constantFrom('top', 'under', 'wheels', 'bench'),
          car: fc.constantFrom<'ground' | 'raised' | 'either'>('ground', 'raised', 'either', 'either'),
          minutes: fc.integer({ min: 1, max: 20 }),
          tools: fc.subarray(['w', 'x', 'y', 'z']),
          after: fc.uniqueArray(fc.integer({ min: 0, max: size.max - 1 }), { maxLength: 2 }),
          wait: fc.constantFrom(0, 0, 0, 0, 15, 40),
        }),
        { minLength: size.min, maxLength: size.max },
      ),
      setup: fc.record({
        walkMinutes: fc.integer({ min: 0, max: 4 }),
        raiseMinutes: fc.integer({ min: 0, max: 12 }),
        toolMinutes: fc.integer({ min: 0, max: 2 }),
      }),
      start: fc.record({
        place: fc.constantFrom('top', 'under', 'cab'),
        car: fc.constantFrom<'ground' | 'raised'>('ground', 'raised'),
      }),
    })
    .map(({ steps, setup, start }): sequence.SolveProblem => ({
      steps: steps.map(({ place, car, minutes, tools }, index) => ({ id: `s${index}`, place, car, minutes, tools })),
      links: steps.flatMap((step, index) =>
        step.after
          .filter(before => before < index)
          .map(before => ({
            before: `s${before}`,
            after: `s${index}`,
            ...(step.wait > 0 ? { waitMinutes: step.wait } : {}),
          })),
      ),
      setup,
      start,
    }))
}

/** Start minutes of an order and its length by the plain meaning of the problem, written without the solver; `null` when it breaks a link. */
export function timeOf(
  { steps, links, setup, start }: sequence.SolveProblem,
  order: string[],
): { starts: number[]; minutes: number } | null {
  const finished = new Map<string, number>()
  const starts: number[] = []
  let clock = 0
  let { place, car } = start as { place: string; car: string }
  let held: string[] = []
  let lying: string[] = []
  for (const id of order) {
    const step = steps.find(entry => entry.id === id)!
    if (step.place !== place) clock += setup.walkMinutes
    if (step.car !== 'either' && step.car !== car) {
      clock += setup.raiseMinutes
      car = step.car
    }
    // Tools by when they were used, the last ones first; who walks keeps those in hand.
    const atHand =
      step.place === place
        ? [...new Set([...held, ...lying])].slice(0, Math.max(setup.trayTools ?? 0, held.length))
        : held
    const wanted = [...new Set(step.tools)]
    clock += wanted.filter(tool => !atHand.includes(tool)).length * setup.toolMinutes
    lying = atHand.filter(tool => !wanted.includes(tool))
    for (const link of links) {
      if (link.after !== id) continue
      const before = finished.get(link.before)
      if (before === undefined) return null
      clock = Math.max(clock, before + (link.waitMinutes ?? 0))
    }
    starts.push(clock)
    clock += step.minutes
    finished.set(id, clock)
    place = step.place
    held = wanted.toReversed()
  }
  return { starts, minutes: clock }
}

/** The shortest length there is, by trying every order that respects the links. */
export function shortestByForce(problem: sequence.SolveProblem): number {
  const ids = problem.steps.map(step => step.id)
  let shortest = Infinity
  const extend = (done: string[]) => {
    if (done.length === ids.length) {
      shortest = Math.min(shortest, timeOf(problem, done)!.minutes)
      return
    }
    for (const id of ids) {
      if (done.includes(id) || problem.links.some(link => link.after === id && !done.includes(link.before))) continue
      extend([...done, id])
    }
  }
  extend([])
  return shortest
}

/**
 * The same problem as an integer programme in LP format, for an independent solver: a binary variable for every pair
 * "b directly after a" and height of the car between them, start minutes as continuous variables, big-M for precedence.
 */
export function asIntegerProgramme({ steps, links, setup, start }: sequence.SolveProblem): string {
  const count = steps.length
  const horizon =
    steps.reduce((sum, step) => sum + step.minutes, 0) +
    count * (setup.walkMinutes + setup.raiseMinutes + 4 * setup.toolMinutes) +
    links.reduce((sum, link) => sum + (link.waitMinutes ?? 0), 0) +
    1
  const tools = (a: number, b: number) =>
    new Set(steps[b]!.tools.filter(tool => a < 0 || !steps[a]!.tools.includes(tool))).size * setup.toolMinutes
  const walk = (a: number, b: number) =>
    (a < 0 ? start.place : steps[a]!.place) === steps[b]!.place ? 0 : setup.walkMinutes
  const name = (a: number) => (a < 0 ? 's' : String(a))
  const arc = (a: number, b: number) => `x_${name(a)}_${name(b)}`
  const rows: string[] = []
  const binaries: string[] = []
  const all = steps.map((_, index) => index)
  for (const a of [-1, ...all]) for (const b of all) if (a !== b) binaries.push(arc(a, b))
  for (const b of all)
    rows.push(
      `${[-1, ...all]
        .filter(a => a !== b)
        .map(a => arc(a, b))
        .join(' + ')} = 1`,
    )
  for (const a of all)
    rows.push(
      `${all
        .filter(b => a !== b)
        .map(b => arc(a, b))
        .join(' + ')} <= 1`,
    )
  rows.push(`${all.map(b => arc(-1, b)).join(' + ')} = 1`)
  // h_b: the height the car is at while b is done; r_b: minutes spent on bringing it there.
  for (const b of all) {
    binaries.push(`h_${b}`)
    if (steps[b]!.car !== 'either') rows.push(`h_${b} = ${steps[b]!.car === 'raised' ? 1 : 0}`)
    for (const a of [-1, ...all]) {
      if (a === b) continue
      const before = a < 0 ? null : `h_${a}`
      const fixed = start.car === 'raised' ? 1 : 0
      const R = setup.raiseMinutes
      // A step done at either height leaves the car as it is.
      if (steps[b]!.car === 'either') {
        rows.push(`h_${b} ${before ? `- ${before} ` : ''}+ ${arc(a, b)} <= ${before ? 1 : 1 + fixed}`)
        rows.push(`${before ? `${before} ` : ''}- h_${b} + ${arc(a, b)} <= ${before ? 1 : 1 - fixed}`)
      }
      // When b follows a, r_b is at least R times the change of height, either way.
      if (before) {
        rows.push(`r_${b} - ${R} h_${b} + ${R} ${before} - ${2 * R} ${arc(a, b)} >= ${-2 * R}`)
        rows.push(`r_${b} + ${R} h_${b} - ${R} ${before} - ${2 * R} ${arc(a, b)} >= ${-2 * R}`)
      } else {
        rows.push(`r_${b} - ${R} h_${b} - ${2 * R} ${arc(a, b)} >= ${-2 * R - R * fixed}`)
        rows.push(`r_${b} + ${R} h_${b} - ${2 * R} ${arc(a, b)} >= ${-2 * R + R * fixed}`)
      }
      const setUp = walk(a, b) + tools(a, b)
      const begin = a < 0 ? '' : ` - t_${a}`
      const ready = setUp + (a < 0 ? 0 : steps[a]!.minutes)
      rows.push(`t_${b}${begin} - r_${b} - ${horizon + ready} ${arc(a, b)} >= ${-horizon}`)
    }
    rows.push(`finish - t_${b} >= ${steps[b]!.minutes}`)
  }
  for (const link of links) {
    const a = steps.findIndex(step => step.id === link.before)
    const b = steps.findIndex(step => step.id === link.after)
    rows.push(`t_${b} - t_${a} >= ${steps[a]!.minutes + (link.waitMinutes ?? 0)}`)
  }
  return [
    'Minimize',
    ' obj: finish',
    'Subject To',
    ...rows.map((row, index) => ` c${index}: ${row}`),
    'Bounds',
    ...all.flatMap(b => [` 0 <= t_${b} <= ${horizon}`, ` 0 <= r_${b} <= ${setup.raiseMinutes}`]),
    ` 0 <= finish <= ${horizon}`,
    'Binaries',
    ...binaries.map(name => ` ${name}`),
    'End',
  ].join('\n')
}
