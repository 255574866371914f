import { admit, reduceJob } from '../../core/job'
import type { EventPayloads, EventType, JobEvent, JobState } from '../../core/job'
import { expandPack } from '../../core/packs'
import type { Pack } from '../../core/packs'
import { planJob } from '../../core/sequence'

const START = Date.parse('2026-03-02T08:00:00.000Z')

/** A job's log written by hand, with a clock that moves a minute an event. */
export class TestLog {
  readonly events: JobEvent[] = []

  /** Opens a job on a pack and plans it. */
  static open(pack: Pack, options: Record<string, string> = {}): TestLog {
    const log = new TestLog()
    const procedure = expandPack(pack, options)
    log.add('job-opened', {
      number: 7,
      vehicle: {
        id: 'v',
        name: 'Test car',
        make: 'Make',
        model: 'Model',
        year: 2015,
        customer: 'Somebody',
        gears: ['1', '2', 'R'],
      },
      complaint: { symptoms: ['slips'], text: '' },
      pumpTest: { result: 'no-change', strokes: 18 },
      odometerKm: 1000,
    })
    log.add('plan-made', { procedure, plan: planJob(procedure, {}, { effort: { moves: 1000 } }) })
    return log
  }

  event<T extends EventType>(type: T, payload: EventPayloads[T], minutesLater = 1): JobEvent {
    const last = this.events.at(-1)
    const at = last ? Date.parse(last.deviceTime) + minutesLater * 60_000 : START
    return {
      id: `e${this.events.length + 1}`,
      jobId: 'job',
      seq: this.events.length + 1,
      deviceId: 'd',
      deviceTime: new Date(at).toISOString(),
      personId: 'p',
      type,
      payload,
    } as JobEvent
  }

  add<T extends EventType>(type: T, payload: EventPayloads[T], minutesLater = 1): this {
    this.events.push(this.event(type, payload, minutesLater))
    return this
  }

  done(...stepIds: string[]): this {
    for (const stepId of stepIds) this.add('step-done', { stepId })
    return this
  }

  /** Does every step in the order of the plan. */
  all(): this {
    return this.done(...this.state.plan!.order)
  }

  refusal<T extends EventType>(type: T, payload: EventPayloads[T]): string | null {
    return admit(this.state, this.event(type, payload), this.events)?.reason ?? null
  }

  /** The path at which an act is refused. */
  refusedAt<T extends EventType>(type: T, payload: EventPayloads[T]): string | null {
    return admit(this.state, this.event(type, payload), this.events)?.path ?? null
  }

  get state(): JobState {
    return reduceJob(this.events)
  }
}
