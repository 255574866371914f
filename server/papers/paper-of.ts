import type { SourceKind } from '../../core/fasteners'
import { jobPaper } from '../../core/formats'
import type { PaperDoc, PaperKind } from '../../core/formats'
import { issuedKinds, observedMinutes, reduceJob } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'
import { renderTerms } from '../../core/packs'
import type { TermTable } from '../../core/packs'
import { inBothUnits, inReadersUnits, inUnit } from '../../core/units'
import type { UnitId, UnitPreference } from '../../core/units'
import { sourceLabels, symptomWords } from '../../contracts/words'
import type { GarageStore } from '../db/for-garage'
import { Refused } from '../refused'

/** A paper of a job as this garage writes it today: its words, units, money and rates. Until it is issued it is a draft. */
export async function paperOf(store: GarageStore, terms: TermTable, jobId: string, kind: PaperKind): Promise<PaperDoc & { number: number }> {
  const log = await store.jobs.events(jobId)
  if (log.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  const paper = await writePaper(store, terms, log, reduceJob(log), kind)
  return (issuedKinds as readonly string[]).includes(kind) ? { ...paper, facts: [paper.facts[0]!, ['Draft', 'not issued yet'], ...paper.facts.slice(1)] } : paper
}

/** What a paper of a job says. */
export async function writePaper(store: GarageStore, terms: TermTable, log: JobEvent[], state: JobState, kind: PaperKind): Promise<PaperDoc & { number: number }> {
  if (!state.procedure) throw new Refused(409, [{ path: 'id', reason: 'The job has no plan yet.' }])
  const { words, torqueUnit, lengthUnit, distanceUnit, massUnit, volumeUnit, timeZone, currency, labourPerHour, taxPercent, partsMarginPercent, callOut } = await store.garage.settings()
  const people = new Map((await store.garage.people()).map(person => [person.id, person.name]))
  const preference: UnitPreference = { torque: torqueUnit, length: lengthUnit, distance: distanceUnit, mass: massUnit, volume: volumeUnit }
  const money = new Intl.NumberFormat('en', { style: 'currency', currency })
  const distance = (km: number) => {
    const { value, unit } = inUnit(km, 'km', preference.distance)
    return `${Math.round(value).toLocaleString('en')} ${unit}`
  }
  const paper = jobPaper(kind, state, {
    text: text => renderTerms(text, terms, words),
    torque: (nm) => {
      const { main, other } = inBothUnits(nm, preference)
      return `${main.text} ${main.unit} (${other.text} ${other.unit})`
    },
    distance,
    reading: (value, unit) => unit === 'mm' && preference.length === 'in' ? `${inUnit(value, unit as UnitId, 'in').text} in (${value} mm)` : inReadersUnits(`${value} ${unit}`, preference),
    money: amount => money.format(amount),
    day: at => dayText(at, timeZone),
    symptom: id => symptomWords[id] ?? id,
    source: source => sourceLabels.find(entry => entry.id === source as SourceKind)?.label ?? source,
    person: id => people.get(id) ?? 'Somebody of the garage',
    rates: { labourPerHour, taxPercent, partsMarginPercent, callOut }, observed: observedMinutes(log, state),
  })
  return { ...paper, number: state.number }
}

/** A day as papers write it, where the garage is: 2 March 2026. */
export function dayText(at: string, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'long', year: 'numeric' }).format(new Date(at))
}
