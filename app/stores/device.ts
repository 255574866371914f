import { FetchError } from 'ofetch'
import { defineStore } from 'pinia'
import { clockOffMs, nowIso } from '../device/clock'
import { isMissingThere, isParted } from '../device/parted'
import { takeAhead } from '../device/kept-job'
import { onTaken, thisKeep } from '../device/open-keep'
import { openTabs } from '../device/tabs'
import { isOfTheServer } from '../device/fetch-kept'
import { afterLast, DeviceJob } from '../log/device-job'
import { deviceId, newId } from '../log/ids'
import { postAsked, postEvents } from '../log/post-events'
import { Sender } from '../log/sender'
import type { Standing } from '../log/sender'
import type { Asked } from '../log/waiting-act'
import type { EventPayloads, EventType, JobEvent, JobState } from '../../core/job'

/** The first view stands by then. */
const QUIET_AFTER_MS = 2_000

/** The one way to write events: judged here, kept on this device, shown in every tab, and sent by one of them until the server has answered. */
export const useDeviceStore = defineStore('device', () => {
  const garage = useGarageStore()
  const keeping = thisKeep()
  const held = new Map<string, Promise<DeviceJob>>()
  const senders = new Map<string, Sender>()
  /** Job → how often what is held of it has changed. */
  const versions = shallowReactive(new Map<string, number>())
  const standings = shallowReactive(new Map<string, Standing>())
  /** Job → when this device last heard of it from the server, ISO 8601. */
  const heardAt = shallowReactive(new Map<string, string>())
  const heardOfAnother = new Set<() => void>()
  const heardOfSent = new Set<(jobId: string) => void>()
  const tabs = openTabs<Standing>(
    ({ jobId, standing }) => {
      if (standing) standings.set(jobId, standing)
      else void reread(jobId)
    },
    () => void sendAll(),
  )

  /** A job as this device holds it. */
  function hold(jobId: string): Promise<DeviceJob> {
    const known = held.get(jobId)
    if (known) return known
    const opening = keeping.then(async keep => {
      const job = new DeviceJob(jobId, keep, () => ({
        personId: garage.personId,
        role: garage.garage?.me?.role ?? 'owner',
        deviceId: deviceId(),
        now: nowIso,
        clockOffMs: clockOffMs(),
        newId,
      }))
      const ahead = takeAhead(jobId)
      await job.read(ahead)
      // Another tab may have told of something between that reading and this tab's listening.
      if (ahead) setTimeout(() => void reread(jobId), QUIET_AFTER_MS)
      return job
    })
    held.set(jobId, opening)
    return opening
  }

  const versionOf = (jobId: string): number => versions.get(jobId) ?? 0
  const standingOf = (jobId: string): Standing => standings.get(jobId) ?? 'sent'
  function bump(jobId: string) {
    versions.set(jobId, versionOf(jobId) + 1)
  }
  function changed(jobId: string) {
    bump(jobId)
    tabs.tell({ jobId })
  }
  async function reread(jobId: string) {
    const job = await held.get(jobId)
    if (!job || (await job.read())) bump(jobId)
    send(jobId)
    heardOfAnother.forEach(hear => hear())
  }

  function heard(jobId: string) {
    heardAt.set(jobId, nowIso())
  }

  /** Keeps what is in the server's log. */
  async function record(jobId: string, events: JobEvent[]): Promise<void> {
    heard(jobId)
    const job = await hold(jobId)
    if (job.conflictsWith(events)) await part(job)
    else if (await job.record(events)) changed(jobId)
  }

  /** Fetches what was added to the log since this device last heard of it. */
  async function refresh(jobId: string): Promise<void> {
    const job = await hold(jobId)
    const last = job.recorded.at(-1)
    try {
      await record(jobId, await $fetch<JobEvent[]>(`/api/jobs/${jobId}/events${afterLast(job)}`))
    } catch (error) {
      if (!last || !isParted(error)) throw error
      await part(job)
    }
  }

  /** Takes the server's log for this device's own: it goes another way than what was recorded here. */
  async function part(job: DeviceJob): Promise<void> {
    const log = await $fetch<JobEvent[]>(`/api/jobs/${job.jobId}/events?after=0`).catch((error: unknown) => {
      if (isMissingThere(error)) return []
      throw error
    })
    await job.part(log)
    changed(job.jobId)
  }

  /** Gives the server what it has no more: the log itself where that follows on the server's own, else act by act, judged anew. @throws what the server refuses */
  async function giveBack(jobId: string): Promise<void> {
    const job = await hold(jobId)
    if (job.isMissing || job.followsOn) {
      const { exportJob } = await import('../../core/formats/job-file')
      const body = exportJob([...job.recorded, ...job.beyond], garage.garage!.people, nowIso())
      const isTaken = await $fetch('/api/imports', { method: 'POST', body }).then(
        () => true,
        (error: unknown) => {
          // Somebody else has to: act by act, what others did would be refused here.
          const isNotOurs = error instanceof FetchError && error.statusCode === 403
          if (job.isMissing || isNotOurs || !isOfTheServer(error)) throw error
          return false
        },
      )
      if (isTaken) return part(job)
    }
    await job.rejoin()
    changed(jobId)
    send(jobId)
  }

  /** Leaves out what the server has no more. */
  async function letGo(jobId: string): Promise<void> {
    const job = await hold(jobId)
    await job.letGo()
    changed(jobId)
  }

  /**
   * Writes down that something happened on a job.
   * @param about what its log and what is on its way into it say, where it is known; and what the server is asked for the act
   * @returns the event when it is kept, or the sentence that says why it may not be
   */
  function act<T extends EventType>(
    job: DeviceJob,
    type: T,
    payload: EventPayloads[T],
    about: { state?: JobState; by?: Asked } = {},
  ): string | Promise<JobEvent> {
    const act = job.act(type, payload, about)
    if (typeof act === 'string') return act
    bump(job.jobId)
    return act.then(event => {
      askToStay()
      changed(job.jobId)
      send(job.jobId)
      return event
    })
  }

  function send(jobId: string): void {
    if (tabs.isSender()) void hold(jobId).then(job => senderOf(job).send())
  }
  /** Sends what waits of a job, and does not wait out a pause. @returns whether nothing is left */
  async function sendNow(jobId: string): Promise<boolean> {
    const job = await hold(jobId)
    if (job.waiting.length === 0) return true
    return tabs.isSender() && senderOf(job).sendNow()
  }
  async function sendAll() {
    for (const jobId of await (await keeping).jobsWaiting()) send(jobId)
  }
  function senderOf(job: DeviceJob): Sender {
    const { jobId } = job
    const known = senders.get(jobId)
    if (known) return known
    const sender = new Sender({
      waiting: async () => [...job.waiting],
      post: async acts => {
        // Whoever took this device over without signal says so first.
        if (!(await garage.sayHanded())) return { kind: 'nobody' }
        return acts[0]!.by ? postAsked(acts[0]!.by) : postEvents(jobId, acts)
      },
      async through(acts) {
        try {
          await refresh(jobId)
        } catch {
          return false
        }
        await job.drop(acts)
        changed(jobId)
        return true
      },
      taken: events => record(jobId, events),
      async setAside(act, reason) {
        // Whoever was there before has to be known, to say whether anything is left to do about it.
        await refresh(jobId).catch(() => {})
        const isSet = await job.setAside(act, reason)
        changed(jobId)
        return isSet
      },
      isWell: () =>
        $fetch('/api/clock').then(
          () => true,
          () => false,
        ),
      stands: standing => {
        if (standing === 'sign-in') garage.signedOut = true
        if (standingOf(jobId) === standing) return
        standings.set(jobId, standing)
        tabs.tell({ jobId, standing })
        if (standing === 'sent') heardOfSent.forEach(hear => hear(jobId))
      },
    })
    senders.set(jobId, sender)
    return sender
  }

  /** Asks the server for something else than before, in the same place. */
  async function askElse(jobId: string, by: Asked): Promise<void> {
    await (await hold(jobId)).askElse(by)
    changed(jobId)
    send(jobId)
  }
  /** The jobs of which something waits, and how much. */
  async function jobsWaiting(): Promise<{ jobId: string; count: number }[]> {
    const keep = await keeping
    return Promise.all(
      (await keep.jobsWaiting()).map(async jobId => ({ jobId, count: (await keep.waiting(jobId)).length })),
    )
  }
  /** The jobs of which this device may know more than the server told last: something of them waits, or was done in this page. */
  async function knownHere(): Promise<DeviceJob[]> {
    const ids = new Set([...(await (await keeping).jobsWaiting()), ...senders.keys()])
    return (await Promise.all([...ids].map(hold))).filter(({ log }) => log.length > 0)
  }

  let asked = false
  /** Once there is work on the device, the browser is asked not to clear it away. */
  function askToStay() {
    if (asked) return
    asked = true
    void navigator.storage?.persist?.().catch(() => {})
  }

  // What this page holds goes back to a store that was cleared away: the jobs, and whose garage it is, to start from.
  onTaken(() => {
    for (const opening of held.values()) void opening.then(job => job.keepAgain()).catch(() => {})
    void keeping.then(keep => keep.keepAnswer('/api/garage', { body: garage.garage, at: nowIso() }))
  })

  return {
    /** Whether this tab is the one that sends. */
    isSender: () => tabs.isSender(),
    /** Tells the other tabs that something of a job has changed. */
    tell: (jobId: string) => tabs.tell({ jobId }),
    /** Calls back when another tab has told so. */
    onTold: (hear: () => void) => void heardOfAnother.add(hear),
    /** Calls back when all that waited of a job has come through. */
    onSent: (hear: (jobId: string) => void) => void heardOfSent.add(hear),
    hold,
    giveBack,
    letGo,
    versionOf,
    standingOf,
    heardAt,
    heard,
    record,
    refresh,
    act,
    send,
    sendNow,
    askElse,
    jobsWaiting,
    knownHere,
  }
})
