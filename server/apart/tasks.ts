import type { ImportedJob } from '../../contracts/answers'
import { readPack } from '../../contracts/read-pack'
import type { ReadPack } from '../../contracts/read-pack'
import { writePack } from '../../contracts/write-pack'
import type { PaperDoc } from '../../core/formats'
import { reachOf } from '../../core/job'
import type { Reach } from '../../core/job'
import type { Pack, Procedure, TermTable } from '../../core/packs'
import type { Role } from '../../core/people/roles'
import { OrderError, planJob } from '../../core/sequence'
import type { PlanRequest } from '../../core/sequence'
import type { Plan, PlanSetting } from '../../core/sequence/types'
import { openDatabase } from '../db/client'
import { keepJob, readJobFile, replay } from '../jobs/import'
import type { FontFiles } from '../papers/faces'
import { paperPdf } from '../papers/paper-pdf'
import type { Letterhead, PaperSize } from '../papers/paper-pdf'
import { Refused } from '../refused'

/** Everything that keeps a processor busy for longer than somebody else's request should wait: done in a process of its own. */
export interface Tasks {
  'read-pack': (input: { yaml: string; terms: TermTable }) => ReadPack
  'write-pack': (input: { pack: Pack }) => string
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

export const tasks: Tasks = {
  'read-pack': ({ yaml, terms }) => readPack(yaml, terms),
  'write-pack': ({ pack }) => writePack(pack),
  plan: ({ procedure, setting, request }) => {
    try {
      return planJob(procedure, setting, request)
    } catch (error) {
      if (error instanceof OrderError) throw new Refused(409, [{ path: 'order', reason: error.because }])
      if (error instanceof RangeError) throw new Refused(422, [{ path: 'circumstances', reason: error.message }])
      throw error
    }
  },
  reach: ({ procedure, pack }) => reachOf(procedure, pack),
  'paper-pdf': ({ paper, letterhead, size, fonts }) => paperPdf(paper, letterhead, size, fonts),
  'take-job-file': async ({ bytes, garageId, role, databaseUrl }, checkedSoFar) => {
    const file = readJobFile(bytes)
    const job = replay(file)
    checkedSoFar()
    const { db, close } = openDatabase(databaseUrl, 1)
    try {
      return await keepJob(db, garageId, file.people, job, role)
    } finally {
      await close()
    }
  },
}
