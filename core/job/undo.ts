import { effectiveEvents } from './effective-events'
import type { EventType, JobEvent } from './events'
import { reduceJob } from './reduce-job'
import { stepView } from './steps'

/** Acts that undo takes back one by one. What opened the job, and its plan, stay. */
const undoable: EventType[] = [
  'plan-changed', 'options-switched',
  'step-done', 'note-added', 'reading-taken', 'timer-started', 'timer-stopped', 'trouble-raised', 'trouble-cleared', 'figure-named',
  'fastener-described', 'board-outlined', 'bolt-placed', 'bolt-lifted', 'bolt-described', 'bolts-out', 'bolts-in',
  'run-started', 'pass-turned', 'bolt-turned', 'bolt-stopped', 'stop-cleared', 'bolt-broken', 'run-dropped', 'bleed-opened', 'stroke-counted', 'rest-started', 'pedal-judged', 'gear-tried',
  'break-in-set', 'odometer-read', 'left-open', 'left-open-withdrawn', 'handed-over', 'called-off',
  'sheet-read', 'orientation-noted', 'orientation-confirmed', 'old-part-gone', 'renewal-weighed', 'renewal-decided', 'way-chosen', 'promised', 'part-came',
  'ladder-opened', 'rung-begun', 'rung-ended', 'ladder-left', 'gap-measured', 'caution-acknowledged', 'entry-replaced', 'reservoir-set', 'reservoir-topped', 'reservoir-drawn', 'bleed-switched', 'portion-moved', 'fluid-bought', 'finding-noted', 'cause-found', 'comeback-noted', 'week-placed', 'paid', 'check-made', 'road-noted',
]

/** The last act that can be undone, or `null`. Given first in the log and still counting. */
export function lastUndoable(events: JobEvent[]): JobEvent | null {
  return effectiveEvents(events).findLast(event => undoable.includes(event.type)) ?? null
}

/** An act in a few words, as shown when it is undone. */
export function describeEvent(event: JobEvent, events: JobEvent[]): string {
  const named: Partial<Record<EventType, string>> = {
    'plan-changed': 'Change of the plan', 'options-switched': 'Another way of doing it',
    'note-added': 'Note', 'reading-taken': 'Reading', 'timer-started': 'Timer start', 'timer-stopped': 'Timer stop',
    'trouble-raised': 'Trouble', 'trouble-cleared': 'Trouble cleared', 'figure-named': 'Figure', 'run-started': 'Run start',
    'fastener-described': 'What the bolts are', 'board-outlined': 'Outline', 'bolt-placed': 'Place of a bolt', 'bolt-lifted': 'Bolt off the board', 'bolt-described': 'Bolt’s entry',
    'bolts-out': 'Bolts out', 'bolts-in': 'Bolts in', 'bolt-stopped': 'Stop', 'stop-cleared': 'Clearing of the stop', 'bolt-broken': 'Broken bolt',
    'pass-turned': 'Pass', 'bolt-turned': 'Bolt', 'run-dropped': 'Run stopped', 'bleed-opened': 'Bleeding start', 'stroke-counted': 'Stroke', 'rest-started': 'Rest',
    'pedal-judged': 'Pedal judgement', 'gear-tried': 'Gear', 'break-in-set': 'Break-in', 'odometer-read': 'Odometer', 'left-open': 'Reason', 'left-open-withdrawn': 'Reason taken back',
    'handed-over': 'Hand-over', 'called-off': 'Calling off',
    'sheet-read': 'Reading of a sheet', 'orientation-noted': 'Way of a part', 'orientation-confirmed': 'Way confirmed', 'old-part-gone': 'Old part gone',
    'renewal-weighed': 'What is put into the question', 'renewal-decided': 'Decision', 'way-chosen': 'Way chosen', 'promised': 'Promise', 'part-came': 'Part is here',
    'ladder-opened': 'Trouble on its ladder', 'rung-begun': 'Rung begun', 'rung-ended': 'How the rung went', 'ladder-left': 'What follows from the ladder', 'gap-measured': 'Gap',
    'caution-acknowledged': 'Caution read', 'entry-replaced': 'New part', 'reservoir-set': 'Reservoir', 'reservoir-topped': 'Fluid poured in', 'reservoir-drawn': 'Fluid drawn off',
    'bleed-switched': 'Another way of bleeding', 'portion-moved': 'Fluid through the line', 'fluid-bought': 'Fluid bought', 'finding-noted': 'What was found', 'comeback-noted': 'Comeback', 'week-placed': 'Place in the week', 'paid': 'Payment', 'cause-found': 'Cause', 'check-made': 'Closing check', 'road-noted': 'Road test',
  }
  if (event.type === 'step-done') return stepView(reduceJob(events), event.payload.stepId)?.title ?? 'Step'
  return named[event.type] ?? event.type
}
