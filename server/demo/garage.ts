import type { VehicleAnswer } from '../../contracts/answers'

/** An invented garage in an invented place. Nothing here is anybody's specification. */
export const DEMO_GARAGE_ID = '6d1f2c0a-5a57-4f1e-9b63-0c5d7b1f4a01'

export const demoGarage = {
  id: DEMO_GARAGE_ID,
  name: 'Quillfeather Mobile Gearbox',
  town: 'Lower Pennick',
  words: 'us' as const,
  latitude: 52.2,
  longitude: -2.4,
  hours: { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5, 6] },
  toolsMissing: ['joint-splitter', 'impact-wrench'],
  toolTerms: { 'joint-splitter': { buy: 38, rentPerDay: 6, fetchMinutes: 30, jobsAYear: 12 } },
}

export const demoPeople = [
  { id: '0a7cf6f2-3a0b-4c35-8f43-7c1a0a7d1101', name: 'Maren Oduya-Plast', role: 'owner' as const },
  { id: '0a7cf6f2-3a0b-4c35-8f43-7c1a0a7d1102', name: 'Tobin Hask', role: 'mechanic' as const },
]

const fiveSpeed = ['1', '2', '3', '4', '5', 'R']
const sixSpeed = ['1', '2', '3', '4', '5', '6', 'R']

export const demoVehicles: VehicleAnswer[] = [
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0001',
    name: 'Silver Orbeline Pellibo',
    make: 'Orbeline',
    model: 'Pellibo 1.4',
    year: 2014,
    customer: 'Desta Wrenlow',
    gears: fiveSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0002',
    name: 'Green Tavisk Mervane wagon',
    make: 'Tavisk',
    model: 'Mervane 2.0',
    year: 2017,
    customer: 'Callum Ibarretxe-Noor',
    gears: sixSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0003',
    name: 'White Orbeline Haulby',
    make: 'Orbeline',
    model: 'Haulby 1.6',
    year: 2012,
    customer: 'Pennick Flour Mill',
    gears: fiveSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0004',
    name: 'Red Hallux Quenby',
    make: 'Hallux',
    model: 'Quenby 1.8',
    year: 2009,
    customer: 'Ysolde Trammer',
    gears: fiveSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0005',
    name: 'Blue Tavisk Larrigo',
    make: 'Tavisk',
    model: 'Larrigo 1.5',
    year: 2019,
    customer: 'Bram Okonjo-Veil',
    gears: sixSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0006',
    name: 'Grey Hallux Fellsorn',
    make: 'Hallux',
    model: 'Fellsorn 2.8 four-wheel drive',
    year: 2011,
    customer: 'Upper Pennick Forestry',
    gears: fiveSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0007',
    name: 'Cream Pellworth saloon',
    make: 'Pellworth',
    model: 'Sessaly',
    year: 1968,
    customer: 'Odile Farrant-Kew',
    gears: ['1', '2', '3', '4', 'R'],
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0008',
    name: 'Ochre Tavisk Roanth',
    make: 'Tavisk',
    model: 'Roanth 2.2',
    year: 2013,
    customer: 'Ines Calloway-Brandt',
    gears: sixSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0009',
    name: 'Plum Pellworth Ardenne',
    make: 'Pellworth',
    model: 'Ardenne 3.0 automatic',
    year: 2012,
    customer: 'Tamsin Ollerenshaw-Baptiste',
    gears: ['1', '2', '3', '4', '5', '6', 'R'],
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0010',
    name: 'Slate Hallux Corviston',
    make: 'Hallux',
    model: 'Corviston 2.5 automatic',
    year: 2010,
    customer: 'Fenwick and Amara Tiller',
    gears: ['1', '2', '3', '4', '5', 'R'],
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0011',
    name: 'Amber Hallux Tessary',
    make: 'Hallux',
    model: 'Tessary 1.2 without a pedal',
    year: 2015,
    customer: 'Marta Quill-Adeyemi',
    gears: fiveSpeed,
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0012',
    name: 'Black Tavisk Corvane',
    make: 'Tavisk',
    model: 'Corvane 1.8 with two clutches',
    year: 2016,
    customer: 'Jorund Petravic',
    gears: ['1', '2', '3', '4', '5', '6', '7', 'R'],
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0013',
    name: 'Yellow Pellworth Ostrel',
    make: 'Pellworth',
    model: 'Ostrel coupé, box at the rear axle',
    year: 2014,
    customer: 'Leontine Abara-Voss',
    gears: ['1', '2', '3', '4', '5', '6', '7', 'R'],
  },
  {
    id: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0014',
    name: 'Threndle 48 tractor',
    make: 'Threndle',
    model: '48, two clutches in one cover',
    year: 1974,
    customer: 'Upper Pennick Forestry',
    gears: ['1', '2', '3', '4', 'R'],
  },
]

/** The garage's wrenches; one has not been seen by a calibrator for long. */
export const demoWrenches = [
  {
    id: '7e5d1f00-2b9c-4c41-9a77-5f0f3c2d0001',
    name: 'Short click wrench',
    minNm: 5,
    maxNm: 25,
    drive: '1/4' as const,
    lengthMm: 270,
    calibratedOn: '2026-03-09',
  },
  {
    id: '7e5d1f00-2b9c-4c41-9a77-5f0f3c2d0002',
    name: 'Middle click wrench',
    minNm: 20,
    maxNm: 110,
    drive: '3/8' as const,
    lengthMm: 390,
    calibratedOn: '2026-03-09',
  },
  {
    id: '7e5d1f00-2b9c-4c41-9a77-5f0f3c2d0003',
    name: 'Long wheel wrench',
    minNm: 40,
    maxNm: 220,
    drive: '1/2' as const,
    lengthMm: 540,
    calibratedOn: '2025-01-20',
  },
]

/** What the bolts of some of these cars are. */
export const demoFasteners = [
  {
    vehicle: 0,
    group: 'bell-bolts',
    fastener: {
      thread: 'M10×1.5',
      propertyClass: '8.8',
      material: 'aluminium' as const,
      engagementMm: 18,
      condition: 'dry' as const,
    },
  },
  {
    vehicle: 1,
    group: 'bell-bolts',
    fastener: {
      thread: 'M12×1.75',
      propertyClass: '8.8',
      material: 'aluminium' as const,
      engagementMm: 22,
      condition: 'dry' as const,
    },
  },
  {
    vehicle: 1,
    group: 'starter-bolts',
    fastener: {
      thread: 'M10×1.5',
      propertyClass: '8.8',
      material: 'aluminium' as const,
      engagementMm: 20,
      condition: 'dry' as const,
    },
  },
]

/** Bell bolts as they were measured on one of them, in the board's order. */
export const demoBellBolts = [
  { thread: 'M10×1.5', lengthMm: 45, head: 'hex' as const, drive: '16' },
  { thread: 'M10×1.5', lengthMm: 45, head: 'hex' as const, drive: '16' },
  { thread: 'M10×1.5', lengthMm: 70, head: 'e-hexalobular' as const, drive: 'E14', note: 'Ground lead under the head' },
  { thread: 'M10×1.5', lengthMm: 55, head: 'hex' as const, drive: '16' },
  { thread: 'M10×1.5', lengthMm: 35, head: 'e-hexalobular' as const, drive: 'E14' },
  { thread: 'M8×1.25', lengthMm: 30, head: 'hex' as const, drive: '13' },
  { thread: 'M8×1.25', lengthMm: 85, head: 'hex' as const, drive: '13', note: 'The long one' },
  { thread: 'M10×1.5', lengthMm: 55, head: 'hex' as const, drive: '16' },
]

/** Invented entries from invented vehicle books. */
export const demoFigures = [
  { vehicle: 1, group: 'bell-bolts', torqueNm: 61, reference: 'Tavisk Mervane book, sheet 31-2' },
  { vehicle: 1, group: 'starter-bolts', torqueNm: 38, reference: 'Tavisk Mervane book, sheet 27-1' },
  { vehicle: 1, group: 'wheel-bolts', torqueNm: 112, reference: 'Tavisk Mervane book, sheet 44-1' },
  { vehicle: 1, group: 'hub-nuts', torqueNm: 206, reference: 'Tavisk Mervane book, sheet 44-3' },
  { vehicle: 1, group: 'mount-bolts', torqueNm: 83, reference: 'Tavisk Mervane book, sheet 10-6' },
  { vehicle: 3, group: 'bell-bolts', torqueNm: 57, reference: 'Hallux Quenby handbook, chapter 6' },
  { vehicle: 3, group: 'starter-bolts', torqueNm: 41, reference: 'Hallux Quenby handbook, chapter 6' },
  { vehicle: 3, group: 'box-plugs', torqueNm: 33, reference: 'Hallux Quenby handbook, chapter 6' },
  { vehicle: 3, group: 'ball-joint-bolts', torqueNm: 48, reference: 'Hallux Quenby handbook, chapter 9' },
  { vehicle: 3, group: 'bracket-bolts', torqueNm: 52, reference: 'Hallux Quenby handbook, chapter 2' },
  { vehicle: 3, group: 'mount-bolts', torqueNm: 79, reference: 'Hallux Quenby handbook, chapter 2' },
  { vehicle: 3, group: 'wheel-bolts', torqueNm: 104, reference: 'Hallux Quenby handbook, chapter 9' },
  { vehicle: 4, group: 'wheel-bolts', torqueNm: 108, reference: 'Tavisk Larrigo book, page 212' },
]

/** What parts cost at an invented counter. */
export const demoPrices: Record<string, number> = {
  'clutch-kit': 148.5,
  'cover-bolts': 2.1,
  'release-bearing': 38.4,
  'gear-oil': 17.9,
  'plug-rings': 0.9,
  'shaft-clips': 1.8,
  'pinch-nuts': 1.2,
  'hub-nuts': 3.9,
}
