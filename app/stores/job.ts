import { defineStore } from 'pinia'
import { admit, describeEvent, lastUndoable, reduceJob } from '../../core/job'
import type { EventPayloads, EventType, JobEvent } from '../../core/job'
import { follow } from '../lib/follow'
import { deviceId, newId } from '../lib/ids'
import { Outbox } from '../lib/outbox'
import { postEvents } from '../lib/post-events'

/** The open job: its log, and the state that follows from it. The server's events and those on their way count alike. */
export const useJobStore = defineStore('job', () => {
  const garage = useGarageStore()
  const messages = useMessages()
  const jobId = ref('')
  const recorded = shallowRef<JobEvent[]>([])
  const pending = shallowRef<readonly JobEvent[]>([])
  const offline = ref(false)
  const connected = ref(true)
  const outboxes = new Map<string, Outbox>()
  let unfollow: (() => void) | null = null

  const log = computed(() => [...recorded.value, ...pending.value.filter(event => !recorded.value.some(known => known.id === event.id))])
  const state = computed(() => reduceJob(log.value))

  function outboxOf(id: string): Outbox {
    const existing = outboxes.get(id)
    if (existing) return existing
    const outbox = new Outbox({
      post: events => postEvents(id, events),
      accepted: (events) => { if (id === jobId.value) record(events) },
      refused: (_event, reason) => messages.say(reason, 'refused'),
      changed: (waiting, isOffline) => {
        if (id !== jobId.value) return
        pending.value = waiting
        offline.value = isOffline
      },
    })
    outboxes.set(id, outbox)
    return outbox
  }

  function record(events: JobEvent[]) {
    const known = new Set(recorded.value.map(event => event.id))
    // An event of this device keeps its own payload, by which what was worked out from it is remembered.
    const fresh = events.filter(event => !known.has(event.id)).map((event) => {
      const own = pending.value.find(waiting => waiting.id === event.id)
      return own ? { ...event, payload: own.payload } as JobEvent : event
    })
    if (fresh.length > 0) recorded.value = [...recorded.value, ...fresh].sort((a, b) => a.seq! - b.seq!)
  }

  /** Opens a job: its whole log first, then whatever is added to it. Throws when there is no such job. */
  async function open(id: string) {
    close()
    const events = await $fetch<JobEvent[]>(`/api/jobs/${id}/events`)
    jobId.value = id
    recorded.value = events
    pending.value = outboxOf(id).waiting
    unfollow = follow(
      () => `/api/jobs/${id}/stream?after=${recorded.value.at(-1)?.seq ?? 0}`,
      data => record([JSON.parse(data) as JobEvent]),
      (isConnected) => {
        connected.value = isConnected
        if (isConnected) outboxOf(id).retryNow()
      },
    )
  }

  function close() {
    unfollow?.()
    unfollow = null
    jobId.value = ''
    recorded.value = []
    pending.value = []
    offline.value = false
    connected.value = true
  }

  /**
   * Writes down that something happened. It counts at once; the server hears of it next.
   * @returns whether it was admitted; if not, the reason was shown
   */
  function write<T extends EventType>(type: T, payload: EventPayloads[T]): boolean {
    const refusal = attempt(type, payload)
    if (refusal !== null) messages.say(refusal, 'refused')
    return refusal === null
  }

  /** The same for who shows the reason where it was asked: `null` when it was admitted, else the sentence that says why not. */
  function attempt<T extends EventType>(type: T, payload: EventPayloads[T]): string | null {
    const event = {
      id: newId(), jobId: jobId.value, seq: null, deviceId: deviceId(), deviceTime: new Date().toISOString(),
      personId: garage.personId, type, payload,
    } as JobEvent
    const refusal = admit(state.value, event, log.value)
    if (refusal) return refusal.reason
    outboxOf(jobId.value).push(event)
    return null
  }

  /** Fetches what was added to the log meanwhile, for who cannot wait for the stream. */
  async function refresh() {
    record(await $fetch<JobEvent[]>(`/api/jobs/${jobId.value}/events?after=${recorded.value.at(-1)?.seq ?? 0}`))
  }

  /** Takes the last act back. */
  function undo() {
    const last = lastUndoable(log.value)
    if (!last) {
      messages.say('There is nothing to undo.')
      return
    }
    const what = describeEvent(last, log.value)
    if (write('undone', { eventId: last.id })) messages.say(`Undone: ${what}`)
  }

  return { jobId, state, log, pending, offline, connected, open, close, refresh, write, attempt, undo }
})
