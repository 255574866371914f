import { boltName, isOut } from '../fasteners/bolt-board'
import type { JobState } from '../job/chapters'
import { actualMinutes } from '../job/views/minutes'

/** A table of a job, as it goes into a CSV file: names of its columns, with units, and rows. */
export interface JobTable {
  columns: string[]
  rows: (string | number | null)[][]
}

export const jobTables = ['bolts', 'readings', 'parts', 'times'] as const
export type JobTableName = (typeof jobTables)[number]

/**
 * Bolts, readings, parts or times of a job as a table. Numbers stay numbers, in the unit their column names.
 * @param text puts trade words in place of tokens
 */
export function jobTable(
  state: JobState,
  name: JobTableName,
  text: (words: string) => string = words => words,
): JobTable {
  return { bolts, readings, parts, times }[name](state, text)
}

type Text = (words: string) => string

function bolts(state: JobState, text: Text): JobTable {
  const groups = new Map((state.procedure?.groups ?? []).map(group => [group.id, group.name]))
  return {
    columns: ['group', 'bolt', 'x_mm', 'y_mm', 'thread', 'length_mm', 'head', 'drive', 'out', 'condition', 'note'],
    rows: Object.values(state.boards).flatMap(board =>
      board.bolts.map(bolt => [
        text(groups.get(board.group) ?? board.group),
        boltName(board, bolt),
        bolt.xMm,
        bolt.yMm,
        bolt.thread ?? null,
        bolt.lengthMm ?? null,
        bolt.head ?? null,
        bolt.drive ?? null,
        isOut(bolt) ? 'yes' : 'no',
        bolt.condition,
        bolt.note ?? null,
      ]),
    ),
  }
}

function readings(state: JobState, text: Text): JobTable {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  return {
    columns: ['taken_at', 'step', 'reading', 'value', 'unit'],
    rows: state.readings.map(reading => [
      reading.at,
      text(operations.get(reading.stepId)?.title ?? reading.stepId),
      text(
        operations.get(reading.stepId)?.readings.find(spec => spec.id === reading.readingId)?.name ?? reading.readingId,
      ),
      reading.value,
      reading.unit,
    ]),
  }
}

function parts(state: JobState, text: Text): JobTable {
  const counts = new Map<string, number>()
  for (const operation of state.procedure?.operations ?? [])
    for (const [id, count] of Object.entries(operation.parts)) counts.set(id, (counts.get(id) ?? 0) + count)
  const planned = (state.procedure?.parts ?? []).map(part => {
    const order = state.orders.findLast(entry => entry.partId === part.id) ?? null
    return [
      text(part.name),
      counts.get(part.id) ?? 0,
      order?.supplier ?? null,
      order?.priceEach ?? null,
      order?.cameAt ?? null,
      'planned',
    ]
  })
  return {
    columns: ['part', 'count', 'supplier', 'price_each', 'came_at', 'why'],
    rows: [...planned, ...state.addedParts.map(part => [text(part.name), 1, null, null, null, text(part.because)])],
  }
}

function times(state: JobState, text: Text): JobTable {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  return {
    columns: ['step', 'phase', 'place', 'planned_min', 'timer_min', 'done_at'],
    rows: (state.plan?.steps ?? []).map(step => [
      text(operations.get(step.id)?.title ?? step.id),
      operations.get(step.id)?.phase ?? null,
      step.place,
      round(step.finishMinutes - step.startMinutes),
      state.timers[step.id] ? round(actualMinutes(state, step.id, state.lastAt ?? new Date(0).toISOString())!) : null,
      state.done[step.id]?.at ?? null,
    ]),
  }
}

const round = (minutes: number) => Math.round(minutes * 100) / 100
