import type { ImportedJob } from '../../contracts/answers'
import type { ReadPack } from '../../contracts/read-pack'
import type { PaperDoc } from '../../core/formats'
import { reachOf } from '../../core/job'
import type { Reach } from '../../core/job'
import type { Pack, Procedure, TermTable } from '../../core/packs'
import type { Role } from '../../core/people/roles'
import { OrderError, planJob } from '../../core/sequence'
import type { PlanRequest } from '../../core/sequence'
import type { Plan, PlanSetting } from '../../core/sequence/types'
import type { FontFiles } from '../papers/faces'
import type { Letterhead, PaperSize } from '../papers/paper-pdf'
import { Refused } from '../refused'
import { searchEffort } from './search-effort'

/** Everything that keeps a processor busy for longer than somebody else's request should wait: done in a process of its own. */
export interface Tasks {
  'read-pack': (input: { yaml: string; terms: TermTable }) => Promise<ReadPack>
  'write-pack': (input: { pack: Pack }) => Promise<string>
  plan: (input: { procedure: Procedure; setting: Partial<PlanSetting>; request?: PlanRequest }) => Plan
  reach: (input: { procedure: Procedure; pack: Pack | null }) => Record<string, Reach>
  'paper-pdf': (input: {
    paper: PaperDoc
    letterhead: Letterhead
    size: PaperSize
    fonts: FontFiles
  }) => Promise<Uint8Array>
  'take-job-file': (
    input: { bytes: Uint8Array; garageId: string; role: Role; databaseUrl: string },
    checkedSoFar: () => void,
  ) => Promise<ImportedJob>
}
export type TaskName = keyof Tasks

/** What somebody sends from outside is checked in one lane, the garage's own work is done in another: neither waits for the other. */
export type LaneName = 'checking' | 'working'

/** What a task wants more than the planner is loaded by the process that does it, so that none holds what it has no use for. */
const packReader = () => import('../../contracts/read-pack')
const packWriter = () => import('../../contracts/write-pack')
const jobFiles = () => import('../jobs/import')
const records = () => import('../db/client')

/** What a lane has at hand before it says that it is there: its first task is not charged with the loading. */
export const atHand: Record<LaneName, (() => Promise<unknown>)[]> = {
  checking: [packReader, jobFiles, records],
  working: [packWriter],
}

export const tasks: Tasks = {
  'read-pack': async ({ yaml, terms }) => (await packReader()).readPack(yaml, terms),
  'write-pack': async ({ pack }) => (await packWriter()).writePack(pack),
  plan: ({ procedure, setting, request }) => {
    try {
      return planJob(procedure, setting, { ...request, effort: { ...searchEffort, ...request?.effort } })
    } catch (error) {
      if (error instanceof OrderError) throw new Refused(409, [{ path: 'order', reason: error.because }])
      if (error instanceof RangeError) throw new Refused(422, [{ path: 'circumstances', reason: error.message }])
      throw error
    }
  },
  reach: ({ procedure, pack }) => reachOf(procedure, pack),
  'paper-pdf': async ({ paper, letterhead, size, fonts }) =>
    (await import('../papers/paper-pdf')).paperPdf(paper, letterhead, size, fonts),
  'take-job-file': async ({ bytes, garageId, role, databaseUrl }, checkedSoFar) => {
    const { keepJob, readJobFile, replay } = await jobFiles()
    const file = readJobFile(bytes)
    const job = replay(file)
    checkedSoFar()
    const { openDatabase } = await records()
    const { db, close } = openDatabase(databaseUrl, 1)
    try {
      return await keepJob(db, garageId, file.people, job, role)
    } finally {
      await close()
    }
  },
}
