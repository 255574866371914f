import type { NewJob, NewVehicle } from '../../contracts/jobs'
import { openingAsked } from '../../core/job'
import type { EventPayloads, EventType, JobEvent } from '../../core/job'
import type { Pack } from '../../core/packs'
import { expandPack } from '../../core/packs'
import { nowIso } from '../device/clock'
import { isOfTheServer } from '../device/fetch-kept'
import type { Asked } from '../log/waiting-act'
import { posted } from './useLastAsked'

/** Somebody stands beside a car: a server that does not answer is not waited for longer. */
const PATIENCE_MS = 8_000

/** Takes a car in: by the server where it answers, else on this device, which asks the server as soon as it does. */
export function useTakeIn() {
  const device = useDeviceStore()
  const garage = useGarageStore()
  const worker = usePlannerWorker()

  /**
   * @param car the car, and what the server has yet to be told of it where it does not know it
   * @throws what the server refuses
   */
  async function takeIn(job: NewJob, pack: Pack, car: { vehicle: NewVehicle; isNew: boolean }): Promise<void> {
    if (!car.isNew)
      try {
        await $fetch('/api/jobs', { method: 'POST', body: job, timeout: PATIENCE_MS })
        return
      } catch (error) {
        if (isOfTheServer(error)) throw error
      }
    await openHere(job, pack, car)
  }

  async function openHere(
    job: NewJob,
    pack: Pack,
    { vehicle, isNew }: { vehicle: NewVehicle; isNew: boolean },
  ): Promise<void> {
    const procedure = expandPack(pack, job.options)
    const asked = openingAsked(procedure, garage.garage!, { ...job, at: nowIso() })
    const plan = await worker.ask(remote => remote.planned(posted(procedure), posted(asked)))
    const by: Asked = {
      id: job.id,
      opens: true,
      posts: [...(isNew ? [{ path: '/api/vehicles', body: vehicle }] : []), { path: '/api/jobs', body: job }],
    }
    const held = await device.hold(job.id)
    const kept: Promise<JobEvent>[] = []
    const write = <T extends EventType>(type: T, payload: EventPayloads[T]) => {
      const act = device.act(held, type, payload, { by })
      if (typeof act === 'string') throw new Error(act)
      kept.push(act)
    }
    const { complaint, pumpTest, odometerKm, findings } = job
    // The server gives the number.
    write('job-opened', { number: 0, vehicle, complaint, pumpTest, odometerKm })
    write('plan-made', { procedure, plan, circumstances: asked.circumstances, clock: asked.clock })
    for (const [testId, outcome] of Object.entries(findings?.outcomes ?? {}))
      write('finding-noted', { tableId: findings!.tableId, testId, outcome })
    await Promise.all(kept)
  }
  return { takeIn }
}
