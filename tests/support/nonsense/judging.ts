import {
  alignment,
  clutch,
  decisions,
  driveline,
  fasteners,
  fluids,
  handling,
  hydraulics,
  sequence,
} from '../../../core'
import { one } from './one'
import type { Case } from './one'

const joint = { thread: 'M8', propertyClass: '8.8' }
const length = (mm: number) => ({ mm, plusMinusMm: 0.1 })
const stand = (id: string, xMm: number, yMm: number) => ({ id, xMm, yMm, ratingKg: 3000 })
const line = {
  boreMm: 4.5,
  pieces: [{ lengthMm: 900, slopeDeg: 30 }],
  masterBoreMm: 19,
  strokeMm: 20,
  pedalRatio: 6,
  airMl: 3,
  heldShare: 0.5,
  reservoirMl: 200,
  lowMl: 100,
  pressureBar: 20,
  lostMostMm: 10,
}
const friction = { threadFriction: 0.12, headFriction: 0.12 }
const facing = { frictionCoefficient: 0.3, clampN: 6000, faces: 2, outerMm: 240, innerMm: 160 }
const tire = { widthMm: 205, aspect: 55, rimIn: 16 }
/** Functions that judge, with input that is good. */
export const judging: Case[] = [
  one('fasteners.tighten', fasteners.tighten, { ...joint, ...friction, utilisation: 0.9 }),
  one('fasteners.judgeSpec', fasteners.judgeSpec, { ...joint, torqueNm: 22, material: 'steel', engagementMm: 10 }),
  one('fasteners.loadJoint', fasteners.loadJoint, { ...joint, torqueNm: 22 }),
  one('fasteners.ceilingOf', fasteners.ceilingOf, { ...joint, material: 'aluminium', engagementMm: 12 }),
  one('fasteners.torqueAngle', fasteners.torqueAngle, { ...joint, snugNm: 15, angleDeg: 60, clampMm: 20 }),
  one('fasteners.strippingLoadN', fasteners.strippingLoadN, { thread: 'M8', material: 'steel', engagementMm: 10 }),
  one('fasteners.engagementForMm', fasteners.engagementForMm, { thread: 'M8', material: 'steel', loadN: 9000 }),
  one('fasteners.wrenchSetting', fasteners.wrenchSetting, {
    targetNm: 50,
    wrenchLengthMm: 300,
    adapterLengthMm: 50,
    adapterAngleDeg: 0,
  }),
  one('fasteners.springRate', fasteners.springRate, { wireMm: 1, coilDiameterMm: 8, activeCoils: 6 }),
  one('clutch.frictionTorque', clutch.frictionTorque, { ...facing, model: 'uniform-wear' }),
  one(
    'clutch.torqueCapacity',
    (input: typeof facing & { torqueNm: number; factor: number }) => {
      const { torqueNm, factor, ...plates } = input
      return clutch.torqueCapacity(plates, { torqueNm, factor })
    },
    { ...facing, torqueNm: 200, factor: 1.5 },
  ),
  one('clutch.discVerdict', clutch.discVerdict, { newMm: 8, minimumMm: 6, readingsMm: [7.5, 7.4], distanceKm: 90_000 }),
  one('clutch.dualMass', clutch.dualMass, { rotationDeg: 10, rotationLimitDeg: 20, rockMm: 0.5, rockLimitMm: 2 }),
  one('clutch.machiningLeft', clutch.machiningLeft, { thicknessMm: 26, minimumMm: 25, warpMm: 0.3, heatMm: 0.1 }),
  one('clutch.adjusterTurns', clutch.adjusterTurns, { measuredMm: 3, wantedMm: 2, pitchMm: 1.5 }),
  one('clutch.wearFromTravel', clutch.wearFromTravel, {
    travelMm: 12,
    taughtNewMm: 10,
    fingerRatio: 4,
    forkRatio: 1.5,
    grows: true,
  }),
  one('alignment.pilotDepth', alignment.pilotDepth, {
    shaftStandsOut: length(40),
    faceToBellFace: length(0),
    pilotDepth: length(20),
    pilotLength: length(12),
    holeDepth: length(60),
    tipLength: length(30),
  }),
  one('alignment.splineClock', alignment.splineClock, { splines: 21, discDeg: 40, shaftDeg: 3 }),
  one('alignment.pistonTurn', alignment.pistonTurn, { magnetDeg: 30, sensorDeg: 90 }),
  one('alignment.fitRunout', alignment.fitRunout, [
    { angleDeg: 0, heightMm: 0.01 },
    { angleDeg: 90, heightMm: 0.03 },
    { angleDeg: 180, heightMm: 0.02 },
    { angleDeg: 270, heightMm: 0.05 },
  ]),
  one('alignment.faceSpread', alignment.faceSpread, [10, 10.2, 10.1]),
  one('handling.standLoads', handling.standLoads, {
    carKg: 1300,
    frontShare: 0.6,
    wheelbaseMm: 2600,
    trackMm: 1500,
    stands: [stand('a', 200, -500), stand('b', 200, 500), stand('c', 2400, -500), stand('d', 2400, 500)],
    wheelsDown: [] as ('front' | 'rear')[],
    removed: [{ id: 'box', massKg: 45, xMm: 700, yMm: 0 }],
  }),
  one('handling.clearance', handling.clearance, {
    boxHeightMm: 420,
    saddleMm: 130,
    edgeMm: 300,
    standRangeMm: [280, 600],
    liftPointMm: 250,
  }),
  one('handling.liftingIndex', handling.liftingIndex, {
    massKg: 20,
    horizontalCm: 25,
    verticalCm: 75,
    travelCm: 25,
    asymmetryDeg: 0,
    liftsPerMinute: 0.2,
    durationHours: 1,
    coupling: 'good',
  }),
  one('driveline.noiseOrders', driveline.noiseOrders, {
    speedKmh: 80,
    gearRatio: 1,
    finalRatio: 3.5,
    tire,
    cylinders: 4,
    propshaft: true,
    heardHz: 40,
  }),
  one('driveline.shaftLine', driveline.shaftLine, [
    { id: 'box', pitchDeg: 2, yawDeg: 0 },
    { id: 'shaft', pitchDeg: 5, yawDeg: 0 },
    { id: 'axle', pitchDeg: 2, yawDeg: 0 },
  ]),
  one('driveline.ringTurn', driveline.ringTurn, { teethA: 41, teethB: 43, offsetDeg: 5 }),
  one(
    'hydraulics.bubbleRise',
    (input: { diameterMm: number; boreMm: number; slopeDeg: number }) => hydraulics.bubbleRise(input),
    { diameterMm: 1, boreMm: 4, slopeDeg: 30 },
  ),
  one('hydraulics.simulateBleed', (input: typeof line) => hydraulics.simulateBleed(input, 'pressure', 1), line),
  one('hydraulics.pumpedPedal', hydraulics.pumpedPedal, {
    risesMm: 9,
    strokes: 15,
    fallsBackShare: 0.4,
    sinksMm: 1,
    biteShare: 0.5,
  }),
  one('hydraulics.trappedAir', hydraulics.trappedAir, {
    lostPedalMm: 20,
    pedalRatio: 6,
    masterBoreMm: 19,
    pressureBar: 20,
    swellingMlPerBar: 0.01,
  }),
  one('hydraulics.airSwallows', hydraulics.airSwallows, {
    volumeMl: 1,
    pedalRatio: 6,
    masterBoreMm: 19,
    pressureBar: 20,
  }),
  one('hydraulics.strokesToLow', hydraulics.strokesToLow, {
    reservoirMl: 200,
    lowMl: 100,
    masterBoreMm: 19,
    strokeMm: 20,
    deliveredShare: 1,
  }),
  one('decisions.renewNow', decisions.renewNow, {
    partCost: 40,
    minutesNow: 30,
    minutesLater: 300,
    labourPerHour: 60,
    chance: 0.2,
    comebackCost: 50,
    newFails: 0.05,
    yearsLater: 3,
    discountPerYear: 0.05,
  }),
  one('fluids.overflowLevel', fluids.overflowLevel, { litresInBox: 6, temperatureC: 40, windowC: [35, 45] }),
  one('fluids.flush', fluids.flush, { lineMl: 400, coolerMl: 300, pumpedMl: 2000 }),
  one('fluids.bottles', fluids.bottles, { needMl: 2100, sizes: [{ ml: 1000 }, { ml: 500 }], onShelfMl: 0 }),
  one('sequence.learnPace', sequence.learnPace, [{ actualMinutes: 300, plannedMinutes: 280 }]),
  one('sequence.promiseShare', sequence.promiseShare, { latePerDay: 100, earlyPerDay: 50 }),
]
