import type { NewJob } from '../../contracts/jobs'
import type { PackShelf } from '../load-packs'
import type { Database } from '../db/client'
import { forGarage } from '../db/for-garage'
import { garage, person, vehicle, vehicleFastener, vehicleFigure, wrench } from '../db/schema'
import { appendEvents } from '../jobs/append'
import { openJob } from '../jobs/open'
import {
  DEMO_GARAGE_ID,
  demoBellBolts,
  demoFasteners,
  demoFigures,
  demoGarage,
  demoPeople,
  demoPrices,
  demoVehicles,
  demoWrenches,
} from './garage'
import {
  clutchesToBeHad,
  firstRounds,
  heavyBox,
  hungTube,
  looseTool,
  oneDropShort,
  partedTractor,
  provedPedal,
  softPedal,
  towsATrailer,
  turnedPiston,
  wornAndWarped,
  wornByTravel,
} from './bench'
import { DemoMechanic } from './play'

const HOUR = 3_600_000

interface DemoJob {
  vehicle: number
  packId?: string
  hoursAgo: number
  options: Record<string, string>
  complaint: NewJob['complaint']
  pumpTest: NewJob['pumpTest']
  odometerKm: number
  work: (mechanic: DemoMechanic, now: number) => void
}

const jobs: DemoJob[] = [
  {
    vehicle: 3,
    hoursAgo: 190,
    options: { lift: 'lift', helper: 'helper' },
    odometerKm: 161_240,
    complaint: { symptoms: ['slips'], text: 'Slips in fourth uphill since summer.' },
    pumpTest: { result: 'no-change', strokes: 18 },
    work: mechanic =>
      mechanic
        .workUntil(null)
        .fillSheets(provedPedal)
        .partsBought(demoPrices)
        .checksMade()
        .write('cause-found', {
          tableId: 'pedal',
          causeId: 'worn-disc',
          title: 'Worn disc',
          text: 'Rivets level with the lining, cover blue at two fingers.',
          findings: { slips: 'yes', pumped: 'no-change', load: 'climb' },
        })
        .write('break-in-set', {
          distanceKm: 640,
          writtenAs: '400 mi',
          source: 'Brindle clutch kit BK-4471, fitting sheet',
          odometerKm: 161_262,
        })
        .write('handed-over', { to: 'Ysolde Trammer', odometerKm: 161_262 }, 20)
        .write('odometer-read', { odometerKm: 161_338, stopAndGo: 0.9 }, 60 * 52)
        .write('odometer-read', { odometerKm: 161_488, stopAndGo: 0.6 }, 60 * 70),
  },
  {
    vehicle: 2,
    hoursAgo: 28,
    options: { flywheel: 'new', slave: 'opened' },
    odometerKm: 208_915,
    complaint: { symptoms: ['judders', 'rattles'], text: 'Judders when pulling away loaded.' },
    pumpTest: { result: 'no-change', strokes: 20 },
    work: (mechanic, now) =>
      mechanic
        .workUntil('flywheel-bolts-out')
        .fillSheets(wornAndWarped)
        .fillSheets(towsATrailer)
        .layBeside('capacity', clutchesToBeHad)
        .write('orientation-noted', {
          partId: 'disc',
          side: 'printed side to the flywheel',
          mark: 'paint at 12 o’clock',
          photo: 'garage phone, 14:05',
        })
        .write('promised', { at: new Date(now + 30 * HOUR).toISOString() })
        .write('note-added', {
          stepId: 'flywheel-bolts-out',
          text: 'Heat spots right round, one crack by the third bolt. Old flywheel does not go back.',
        })
        .write('trouble-raised', {
          troubleId: crypto.randomUUID(),
          stepId: 'flywheel-bolts-out',
          text: 'No flywheel in stock at the counter.',
          waitsFor: 'Flywheel BF-118',
          until: new Date(now + 20 * HOUR).toISOString(),
        }),
  },
  {
    vehicle: 1,
    hoursAgo: 7,
    options: { lift: 'lift' },
    odometerKm: 132_480,
    complaint: { symptoms: ['slips'], text: 'Revs climb in fifth without more speed.' },
    pumpTest: { result: 'no-change', strokes: 16 },
    work: mechanic =>
      mechanic
        .workUntil('cover-tighten')
        .fillSheets(looseTool)
        .write('note-added', { stepId: 'cover-tighten', text: 'Tool goes in 41 mm when truly home, marked with tape.' })
        .write('fastener-described', {
          group: 'cover-bolts',
          fastener: {
            thread: 'M8×1.25',
            propertyClass: '8.8',
            material: 'iron',
            engagementMm: 16,
            condition: 'threadlocker',
          },
        })
        .write('figure-named', {
          group: 'cover-bolts',
          torqueNm: 25,
          sourceKind: 'vehicle-book',
          reference: 'Tavisk Mervane book, sheet 30-4',
          condition: 'dry',
        })
        .write('figure-named', {
          group: 'cover-bolts',
          torqueNm: 21,
          sourceKind: 'kit-sheet',
          reference: 'Brindle clutch kit BK-4471, fitting sheet',
          condition: 'threadlocker',
          renew: 'always',
        }),
  },
  {
    vehicle: 0,
    hoursAgo: 4,
    options: {},
    odometerKm: 97_310,
    complaint: { symptoms: ['squeals', 'will-not-select'], text: 'Squeals with the pedal down, grates into reverse.' },
    pumpTest: { result: 'no-change', strokes: 15 },
    work: mechanic =>
      mechanic
        .workUntil('lowest-bell-bolts')
        .write('note-added', { stepId: 'lowest-bell-bolts', text: 'Rear lowest bolt is the long one.' })
        .describeBolts('bell-bolts', demoBellBolts)
        .write('bolts-out', { group: 'bell-bolts', boltIds: ['b6'], condition: 'corroded' }),
  },
  {
    vehicle: 4,
    hoursAgo: 1,
    options: { slave: 'opened', helper: 'helper' },
    odometerKm: 71_050,
    complaint: { symptoms: ['pedal-soft'], text: 'Pedal drops in traffic, comes back after pumping.' },
    pumpTest: { result: 'rises', strokes: 20 },
    work: () => {},
  },
  {
    vehicle: 5,
    packId: '4x4-transfer',
    hoursAgo: 9,
    options: { 'crank-seal': 'renewed', exhaust: 'off', slave: 'opened' },
    odometerKm: 188_730,
    complaint: { symptoms: ['slips'], text: 'Slips with the timber trailer on.' },
    pumpTest: { result: 'no-change', strokes: 17 },
    work: mechanic => mechanic.workUntil('upper-bell-bolts').fillSheets(heavyBox),
  },
  {
    vehicle: 7,
    packId: 'rwd-concentric',
    hoursAgo: 13,
    options: { lift: 'lift', helper: 'helper', bleed: 'two-person' },
    odometerKm: 143_902,
    complaint: { symptoms: ['pedal-soft', 'will-not-select'], text: 'Pedal went to the floor, fluid at the bell.' },
    pumpTest: { result: 'rises', strokes: 17 },
    work: mechanic => mechanic.workUntil('bleed-two').fillSheets(softPedal).bleedRounds('bleed-two', firstRounds),
  },
  {
    vehicle: 8,
    packId: 'automatic-longitudinal',
    hoursAgo: 11,
    options: { lift: 'lift', helper: 'helper' },
    odometerKm: 152_640,
    complaint: { symptoms: ['shudders', 'drips'], text: 'Shudders at a steady fifty, fluid on the drive.' },
    pumpTest: { result: 'not-done', strokes: null },
    work: mechanic => mechanic.workUntil('seat-measured').fillSheets(oneDropShort),
  },
  {
    vehicle: 9,
    packId: 'automatic-valve-body',
    hoursAgo: 6,
    options: { lift: 'lift' },
    odometerKm: 118_070,
    complaint: { symptoms: ['bangs', 'lamp'], text: 'Bangs into second when cold, lamp on since Friday.' },
    pumpTest: { result: 'not-done', strokes: null },
    work: mechanic => mechanic.workUntil('springs-measured').piecesOut(),
  },
  {
    vehicle: 10,
    packId: 'automated-single-clutch',
    hoursAgo: 8,
    options: { lift: 'lift' },
    odometerKm: 97_310,
    complaint: { symptoms: ['slips'], text: 'Slips uphill, and the lamp came on with it.' },
    pumpTest: { result: 'not-done', strokes: null },
    work: mechanic => mechanic.workUntil('compare-parts').fillSheets(wornByTravel),
  },
  {
    vehicle: 11,
    packId: 'dual-clutch-in-car',
    hoursAgo: 5,
    options: { lift: 'lift', helper: 'helper' },
    odometerKm: 131_460,
    complaint: { symptoms: ['half-gone'], text: 'Only second, fourth and sixth. Fluid was changed in spring.' },
    pumpTest: { result: 'not-done', strokes: null },
    work: mechanic => mechanic.workUntil('pistons-measured').fillSheets(turnedPiston),
  },
  {
    vehicle: 12,
    packId: 'transaxle-torque-tube',
    hoursAgo: 7,
    options: {},
    odometerKm: 64_220,
    complaint: { symptoms: ['hums'], text: 'Hums along the tunnel at idle, box quiet.' },
    pumpTest: { result: 'not-done', strokes: null },
    work: mechanic => mechanic.workUntil('transaxle-back').fillSheets(hungTube),
  },
  {
    vehicle: 13,
    packId: 'tractor-two-stage',
    hoursAgo: 7,
    options: { helper: 'helper' },
    odometerKm: 5_870,
    complaint: { symptoms: ['grates', 'runs-on'], text: 'Grates into first, and the shaft never stops.' },
    pumpTest: { result: 'not-done', strokes: null },
    work: mechanic => mechanic.workUntil('springs-in').fillSheets(partedTractor),
  },
]

/** Whether the demo garage is there already. */
export async function hasDemo(db: Database): Promise<boolean> {
  return (await db.select({ id: garage.id }).from(garage).limit(1)).length > 0
}

/** Fills an empty database with the demo garage: people, cars, invented figures and, unless told otherwise, jobs at different points of the work. */
export async function seedDemo(db: Database, shelf: PackShelf, withJobs = true, now = Date.now()): Promise<void> {
  await db.insert(garage).values(demoGarage)
  await db.insert(person).values(demoPeople.map(entry => ({ ...entry, garageId: DEMO_GARAGE_ID })))
  await db.insert(vehicle).values(demoVehicles.map(entry => ({ ...entry, garageId: DEMO_GARAGE_ID })))
  await db.insert(vehicleFigure).values(
    demoFigures.map(({ vehicle: index, ...figure }) => ({
      ...figure,
      id: crypto.randomUUID(),
      garageId: DEMO_GARAGE_ID,
      vehicleId: demoVehicles[index]!.id,
      enteredBy: demoPeople[0]!.id,
    })),
  )
  await db.insert(vehicleFastener).values(
    demoFasteners.map(({ vehicle: index, ...entry }) => ({
      ...entry,
      garageId: DEMO_GARAGE_ID,
      vehicleId: demoVehicles[index]!.id,
    })),
  )
  await db.insert(wrench).values(demoWrenches.map(entry => ({ ...entry, garageId: DEMO_GARAGE_ID })))
  if (!withJobs) return
  for (const demo of jobs) {
    const start = now - demo.hoursAgo * HOUR
    const id = crypto.randomUUID()
    const { options, complaint, pumpTest, odometerKm } = demo
    await openJob(db, DEMO_GARAGE_ID, shelf, {
      id,
      vehicleId: demoVehicles[demo.vehicle]!.id,
      packId: demo.packId ?? 'fwd-transverse',
      options,
      complaint,
      pumpTest,
      odometerKm,
      personId: demoPeople[0]!.id,
      deviceId: 'demo',
      at: new Date(start).toISOString(),
      utcOffsetMinutes: -new Date(start).getTimezoneOffset(),
    })
    const mechanic = new DemoMechanic(await forGarage(db, DEMO_GARAGE_ID).jobs.events(id), demoPeople[0]!.id, start)
    demo.work(mechanic, now)
    if (mechanic.events.length > 0) await appendEvents(db, DEMO_GARAGE_ID, id, mechanic.events)
  }
}
