import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { jobFile } from '../../contracts/job-file'
import { exportJob, importJob } from '../../core/formats'
import type { JobFile } from '../../core/formats'
import { reduceJob } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'

/** Job files of the demo as they were exported before a job became chapters, each with the state that its log led to then; its procedure is the log's own. */
const before = JSON.parse(
  gunzipSync(readFileSync(new URL('../fixtures/jobs-before-chapters.json.gz', import.meta.url))).toString(),
) as { file: JobFile; state: Omit<JobState, 'procedure'> }[]

describe('a log from before', () => {
  it.each(before.map(({ file, state }) => [`${state.number}, ${state.vehicle!.name}`, file, state] as const))(
    'reads to the same state: job %s',
    (_name, file, state) => {
      const events = importJob(file).events
      const planned = events.findLast((event): event is JobEvent<'plan-made'> => event.type === 'plan-made')!
      expect(events.some(event => event.type === 'options-switched')).toBe(false)
      // Nothing was set aside then, added to a layout or left out of it, nothing came apart twice, nobody else had done any of it, and nothing lay side by side.
      const {
        procedure,
        aside,
        added,
        leftOut,
        split,
        again,
        takenOver,
        told,
        bodies,
        candidates,
        codes,
        routines,
        chosenCandidates,
        moves,
        handed,
        ...now
      } = reduceJob(events)
      expect(JSON.parse(JSON.stringify(now))).toEqual(state)
      expect([aside, added, leftOut, split, again]).toEqual([[], [], [], [], []])
      // What moved the plan was not kept; it follows from the log.
      expect(moves.every(move => Math.abs(move.minutes) >= 1)).toBe(true)
      expect([takenOver, told, candidates, chosenCandidates, codes, routines, bodies, handed]).toEqual([
        {},
        {},
        {},
        {},
        {},
        {},
        {},
        {},
      ])
      // One that bleeds nothing had no list of ways; now it has an empty one.
      expect(procedure).toEqual({ ...planned.payload.procedure, bleeding: planned.payload.procedure.bleeding ?? [] })
    },
  )
  it('is a job file still, and is exported as it came', () => {
    for (const { file } of before) {
      expect(jobFile.safeParse(file).error?.issues ?? []).toEqual([])
      expect(exportJob(importJob(file).events, file.people, file.exportedAt)).toEqual(file)
    }
  })
})
