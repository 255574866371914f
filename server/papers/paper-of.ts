import { jobPaper, paperContext } from '../../core/formats'
import type { PaperDoc, PaperKind } from '../../core/formats'
import { issuedKinds, observedMinutes, reduceJob } from '../../core/job'
import type { JobEvent, JobState, Reach } from '../../core/job'
import type { TermTable } from '../../core/packs'
import { sourceWords } from '../../contracts/words'
import { apart } from '../apart'
import type { GarageStore } from '../db/for-garage'
import { findPack } from '../garage-packs'
import type { PackShelf } from '../load-packs'
import { readerOf } from '../reader'
import { Refused } from '../refused'

/** A paper of a job as this garage writes it today: its words, units, money and rates. Until it is issued it is a draft. */
export async function paperOf(
  store: GarageStore,
  shelf: PackShelf,
  jobId: string,
  kind: PaperKind,
): Promise<PaperDoc & { number: number }> {
  const log = await store.jobs.events(jobId)
  if (log.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  const state = reduceJob(log)
  const paper = await writePaper(store, shelf.terms, log, state, kind, await reachFor(store, shelf, state, kind))
  return (issuedKinds as readonly string[]).includes(kind)
    ? { ...paper, facts: [paper.facts[0]!, ['Draft', 'not issued yet'], ...paper.facts.slice(1)] }
    : paper
}

/** What coming back for parts in reach would take, for a paper that offers them. */
export async function reachFor(
  store: GarageStore,
  shelf: PackShelf,
  { procedure }: JobState,
  kind: PaperKind,
): Promise<Record<string, Reach>> {
  if (kind !== 'estimate' || !procedure) return {}
  return apart('reach', { procedure, pack: await findPack(store, shelf, procedure.packId) })
}

/** What a paper of a job says. */
export async function writePaper(
  store: GarageStore,
  terms: TermTable,
  log: JobEvent[],
  state: JobState,
  kind: PaperKind,
  reach: Record<string, Reach>,
): Promise<PaperDoc & { number: number }> {
  if (!state.procedure) throw new Refused(409, [{ path: 'id', reason: 'The job has no plan yet.' }])
  const settings = await store.garage.settings()
  const { timeZone, currency, labourPerHour, taxPercent, partsMarginPercent, callOut, priceShare, laterPercent } =
    settings
  const paper = jobPaper(
    kind,
    state,
    paperContext({
      ...readerOf(settings, terms),
      currency,
      timeZone,
      people: await store.garage.people(),
      sources: sourceWords,
      rates: { labourPerHour, taxPercent, partsMarginPercent, callOut, priceShare, laterPercent },
      observed: observedMinutes(log, state),
      reach,
    }),
  )
  return { ...paper, number: state.number }
}
