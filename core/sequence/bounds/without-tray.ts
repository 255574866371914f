import type { Instance } from '../instance'

/**
 * What a job whose tools stay at hand costs at the least, as a job without a tray: within a stay no tool is counted, nor on the way from one
 * to the next, and every tool is fetched once.
 * @returns the job to be bounded, and the minutes of fetching that come on top
 */
export function withoutTray(instance: Instance): { bare: Instance; fetchMinutes: number } {
  if (instance.trayTools === 0) return { bare: instance, fetchMinutes: 0 }
  const { count, place, startPlace, walkMinutes, toolMinutes } = instance
  const readyMinutes = Float64Array.from({ length: (count + 1) * count }, (_, at) => {
    const row = Math.floor(at / count)
    return place[at % count] === (row < count ? place[row] : startPlace) ? 0 : walkMinutes
  })
  const used = new Set(instance.tools.flatMap(tools => [...tools]))
  const tools = instance.tools.map(() => new Int32Array(0))
  return { bare: { ...instance, tools, trayTools: 0, readyMinutes }, fetchMinutes: used.size * toolMinutes }
}
