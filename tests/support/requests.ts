import { DEMO_GARAGE_ID, demoPeople, demoVehicles } from '../../server/demo/garage'

export const garageId = DEMO_GARAGE_ID
export const personId = demoPeople[0]!.id

/** A take-in that the server accepts. */
export function newJobRequest(change: Record<string, unknown> = {}) {
  return {
    id: crypto.randomUUID(),
    vehicleId: demoVehicles[0]!.id,
    packId: 'fwd-transverse',
    options: { slave: 'opened' },
    complaint: { symptoms: ['slips' as const], text: '' },
    pumpTest: { result: 'no-change' as const, strokes: 18 },
    odometerKm: 1000,
    personId,
    deviceId: 'test',
    at: '2026-03-02T08:00:00.000Z',
    utcOffsetMinutes: 0,
    ...change,
  }
}

/** An event as a device posts it. */
export function incoming(type: string, payload: unknown, change: Record<string, unknown> = {}) {
  return {
    id: crypto.randomUUID(),
    deviceId: 'test',
    deviceTime: '2026-03-02T08:05:00.000Z',
    personId,
    type,
    payload,
    ...change,
  } as never
}
