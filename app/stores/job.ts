import { defineStore } from 'pinia'
import { nowMs } from '../device/clock'
import { keepOpened } from '../device/last-job'
import { follow } from '../links/follow'
import { CONTRACT } from '../../contracts/version'
import { afterLast } from '../log/device-job'
import type { DeviceJob } from '../log/device-job'
import type { Asked, WaitingAct } from '../log/waiting-act'
import { describeEvent, lastUndoable, reduceJob } from '../../core/job'
import type { EventPayloads, EventType, JobEvent } from '../../core/job'

/** The open job: its log as this device holds it, and the state that follows from it. Recorded events and those that wait count alike. */
export const useJobStore = defineStore('job', () => {
  const device = useDeviceStore()
  const garage = useGarageStore()
  const messages = useMessages()
  const errands = useErrandsStore()
  const jobId = ref('')
  const held = shallowRef<DeviceJob | null>(null)
  const connected = ref(true)
  let unfollow: (() => void) | null = null

  const version = computed(() => device.versionOf(jobId.value))
  const log = computed(() => {
    void version.value
    return held.value?.log ?? []
  })
  /** What this device keeps and has not sent. */
  const pending = computed(() => {
    void version.value
    return held.value?.waiting ?? []
  })
  /** How many acts are on their way to the disk: nobody may count on them yet. */
  const keeping = computed(() => {
    void version.value
    return held.value?.onTheWay.length ?? 0
  })
  /** What the server is asked to take the car in, until it has. */
  const opening = computed(() => {
    void version.value
    return held.value?.waiting.find(act => act.by?.opens)?.by ?? null
  })
  /** What the server had of this job and has no more. */
  const beyond = computed(() => {
    void version.value
    return { events: held.value?.beyond ?? [], isMissing: held.value?.isMissing ?? false }
  })
  const standing = computed(() => device.standingOf(jobId.value))
  const state = computed(() => reduceJob(log.value))
  /** The state with what is on its way to the disk, for who goes on with what was just done before anybody sees it. */
  const ahead = computed(() => {
    void version.value
    return held.value && held.value.onTheWay.length > 0 ? reduceJob(held.value.ahead) : state.value
  })

  /** Opens a job: what this device holds of it first, then whatever is added to it. Throws when nobody has it. */
  async function open(id: string) {
    close()
    const job = await device.hold(id)
    if (job.log.length === 0) await device.refresh(id)
    jobId.value = id
    held.value = job
    keepOpened(id, nowMs())
    device.send(id)
    const arrived: JobEvent[] = []
    let taking = false
    /** What arrives while the disk is busy is taken in one piece after it. */
    async function take(event: JobEvent) {
      arrived.push(event)
      if (taking) return
      taking = true
      while (arrived.length > 0) await device.record(id, arrived.splice(0)).catch(() => {})
      taking = false
    }
    unfollow = follow(
      () => `/api/jobs/${id}/stream${job.isMissing ? '?after=0' : afterLast(job)}&contract=${CONTRACT}`,
      data => void take(JSON.parse(data) as JobEvent),
      isConnected => {
        connected.value = isConnected
        if (!isConnected) return
        device.heard(id)
        device.send(id)
        void errands.run()
        // It may be back, or be gone for good.
        if (job.isMissing) void device.refresh(id).catch(() => {})
      },
      () => device.refresh(id),
    )
  }

  function close() {
    unfollow?.()
    unfollow = null
    jobId.value = ''
    held.value = null
    connected.value = true
  }

  /**
   * Writes down that something happened. It counts as soon as this device keeps it; the server hears of it next.
   * @returns whether it was admitted; if not, the reason was shown
   */
  function write<T extends EventType>(type: T, payload: EventPayloads[T]): boolean {
    const refusal = attempt(type, payload)
    if (refusal !== null) messages.say(refusal, 'refused')
    return refusal === null
  }

  /** The same for who shows the reason where it was asked, or has something that the server is asked for the act: `null` when it was admitted, else the sentence that says why not. */
  function attempt<T extends EventType>(type: T, payload: EventPayloads[T], by?: Asked): string | null {
    const act = device.act(held.value!, type, payload, { state: ahead.value, ...(by ? { by } : {}) })
    return typeof act === 'string' ? act : null
  }

  /** Fetches what was added to the log meanwhile, for who cannot wait for the stream. */
  const refresh = () => device.refresh(jobId.value)

  /** Takes the last act back. */
  function undo() {
    const last = lastUndoable(held.value?.ahead ?? [])
    // Taking the car in is the server's to undo: it calls the job off.
    if (!last || (last as WaitingAct).by?.opens) {
      messages.say('There is nothing to undo.')
      return
    }
    const what = describeEvent(last, held.value!.ahead)
    const doer = garage.garage?.people.find(person => person.id === last.personId)
    const whose = doer && doer.id !== garage.personId ? `, which ${doer.name} did` : ''
    if (write('undone', { eventId: last.id })) messages.say(`Undone: ${what}${whose}`)
  }

  return {
    jobId,
    state,
    ahead,
    log,
    pending,
    keeping,
    opening,
    beyond,
    standing,
    connected,
    open,
    close,
    refresh,
    write,
    attempt,
    undo,
  }
})
