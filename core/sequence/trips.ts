import type { Procedure } from '../pack/pack'
import { stepMinutes } from './step-minutes'
import type { PlannedStep, Trip } from './types'

/** Gathers steps into trips: one stay at one place with the car in one position. Their minutes are those of work, set-up and waits; nights do not count. */
export function groupTrips(steps: PlannedStep[], procedure: Procedure): Trip[] {
  const tools = new Map(procedure.operations.map(operation => [operation.id, operation.tools]))
  const trips: Trip[] = []
  for (const step of steps) {
    const current = trips.at(-1)
    const minutes = stepMinutes(step) + step.setupMinutes + step.waitMinutes
    const stepTools = tools.get(step.id) ?? procedure.positions[step.car]?.tools ?? []
    if (current && current.place === step.place && current.car === step.car && step.kind === 'operation') {
      current.stepIds.push(step.id)
      current.finishMinutes = step.finishMinutes
      current.minutes += minutes
      current.tools = [...new Set([...current.tools, ...stepTools])]
    } else {
      const startMinutes = step.startMinutes - step.setupMinutes - step.waitMinutes
      trips.push({
        place: step.place,
        car: step.car,
        stepIds: [step.id],
        startMinutes,
        finishMinutes: step.finishMinutes,
        minutes,
        tools: [...stepTools],
      })
    }
  }
  return trips
}
