import type { Procedure } from '../packs/types'
import type { PlannedStep, Trip } from './types'

/** Gathers steps into trips: one stay at one place with the car in one position. */
export function groupTrips(steps: PlannedStep[], procedure: Procedure): Trip[] {
  const tools = new Map(procedure.operations.map(operation => [operation.id, operation.tools]))
  const trips: Trip[] = []
  for (const step of steps) {
    const current = trips.at(-1)
    const stepTools = tools.get(step.id) ?? procedure.positions[step.car].tools
    if (current && current.place === step.place && current.car === step.car && step.kind === 'operation') {
      current.stepIds.push(step.id)
      current.finishMinutes = step.finishMinutes
      current.minutes = step.finishMinutes - current.startMinutes
      current.tools = [...new Set([...current.tools, ...stepTools])]
    }
    else {
      const startMinutes = step.startMinutes - step.setupMinutes - step.waitMinutes
      trips.push({
        place: step.place, car: step.car, stepIds: [step.id], startMinutes,
        finishMinutes: step.finishMinutes, minutes: step.finishMinutes - startMinutes, tools: [...stepTools],
      })
    }
  }
  return trips
}
