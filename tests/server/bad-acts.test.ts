import { oneServer } from '../support/one-server'
import { refuses } from '../support/refuses'
import { incoming } from '../support/requests'

const unknown = crypto.randomUUID()
const posting = (...events: unknown[]) => ({ events })
const reordered = {
  circumstances: { helper: null, hours: null, arrivals: [], pins: [] },
  order: [],
  at: '2026-03-02T08:05:00.000Z',
  utcOffsetMinutes: 0,
  lowerBoundMinutes: 0,
  proven: false,
}

refuses(oneServer(), [
  ['POST', '/api/jobs/JOB/events', () => posting(), 422, 'events'],
  ['POST', '/api/jobs/JOB/events', () => posting(incoming('job-opened', {})), 422, 'events[0].type'],
  ['POST', '/api/jobs/JOB/events', () => posting(incoming('plan-made', {})), 422, 'events[0].type'],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('note-added', { stepId: null, text: '  ' })),
    422,
    'events[0].payload.text',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('step-done', { stepId: 'nowhere' })),
    409,
    'events[0].payload.stepId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(incoming('note-added', { stepId: null, text: 'good' }), incoming('step-done', { stepId: 'pull-box' })),
    409,
    'events[1].payload.stepId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('figure-named', { group: 'cover-bolts', torqueNm: -3, sourceKind: 'kit-sheet', reference: 'Sheet' }),
      ),
    422,
    'events[0].payload.torqueNm',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('figure-named', {
          group: 'cover-bolts',
          torqueNm: 20,
          sourceKind: 'kit-sheet',
          reference: 'Sheet',
          stages: [
            { kind: 'torque', torqueNm: 20 },
            { kind: 'angle', angleDeg: 900 },
          ],
        }),
      ),
    422,
    'events[0].payload.stages[1].angleDeg',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('fastener-described', { group: 'cover-bolts', fastener: { thread: 'M8x7', propertyClass: '8.8' } }),
      ),
    409,
    'events[0].payload.fastener.thread',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('fastener-described', {
          group: 'cover-bolts',
          fastener: { thread: 'M8', propertyClass: '8.8', engagementMm: -2 },
        }),
      ),
    422,
    'events[0].payload.fastener.engagementMm',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('bolt-placed', { group: 'bell-bolts', boltId: 'x', xMm: 9000, yMm: 0 })),
    422,
    'events[0].payload.xMm',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('bolts-out', { group: 'bell-bolts', boltIds: ['nobody'], condition: 'good' })),
    409,
    'events[0].payload.boltId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('figure-named', {
          group: 'cover-bolts',
          torqueNm: 2100,
          sourceKind: 'kit-sheet',
          reference: 'Sheet',
        }),
      ),
    409,
    'events[0].payload.torqueNm',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('step-done', { stepId: 'slave-travel' }, { deviceTime: 'yesterday' })),
    422,
    'events[0].deviceTime',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('handed-over', { to: 'Somebody', odometerKm: null })),
    409,
    'events[0].type',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('undone', { eventId: unknown })),
    409,
    'events[0].payload.eventId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('sheet-read', { sheetId: 'disc', values: {}, cleared: [] })),
    422,
    'events[0].payload.values',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('sheet-read', {
          sheetId: 'disc',
          values: { thickness: { kind: 'points', entries: [{ entered: '7', value: 'seven' }] } },
          cleared: [],
        }),
      ),
    422,
    'events[0].payload.values.thickness.entries[0].value',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('sheet-read', { sheetId: 'keel', values: { depth: { kind: 'text', text: 'deep' } }, cleared: [] }),
      ),
    409,
    'events[0].payload.sheetId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('orientation-confirmed', { partId: 'disc' })),
    409,
    'events[0].payload.partId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('old-part-gone', { partId: 'disc', where: 'thrown away' })),
    409,
    'events[0].payload.partId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('renewal-weighed', {
          partId: 'crank-seal',
          partCost: 10,
          minutesNow: null,
          minutesLater: null,
          chance: 1.4,
          comebackCost: 0,
        }),
      ),
    422,
    'events[0].payload.chance',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () =>
      posting(
        incoming('part-ordered', {
          orderId: crypto.randomUUID(),
          partId: 'keel',
          name: 'Keel',
          count: 1,
          priceEach: null,
          supplier: 'Yard',
          orderNo: null,
          arrivesAt: '2026-03-02T10:00:00.000Z',
        }),
      ),
    409,
    'events[0].payload.partId',
  ],
  ['POST', '/api/jobs/JOB/events', () => posting(incoming('promised', { at: 'soon' })), 422, 'events[0].payload.at'],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('pedal-judged', { stepId: 'bleed-clutch', feel: 'spongy' })),
    422,
    'events[0].payload.feel',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('pedal-judged', { stepId: 'bleed-clutch', feel: 'soft', lostMm: 900 })),
    422,
    'events[0].payload.lostMm',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('portion-moved', { stepId: 'bleed-clutch', ml: 0 })),
    422,
    'events[0].payload.ml',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('stroke-counted', { stepId: 'nowhere' })),
    409,
    'events[0].payload.stepId',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('fluid-bought', { stepId: 'bleed-clutch', bottles: 0, bottleMl: 500 })),
    422,
    'events[0].payload.bottles',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('plan-changed', { ...reordered, order: ['pull-box'] })),
    409,
    'events[0].payload.order',
  ],
  [
    'POST',
    '/api/jobs/JOB/events',
    () => posting(incoming('plan-changed', { ...reordered, utcOffsetMinutes: 9000 })),
    422,
    'events[0].payload.utcOffsetMinutes',
  ],
  ['POST', '/api/jobs/JOB/events', () => posting(incoming('options-switched', {})), 422, 'events[0].type'],
])
