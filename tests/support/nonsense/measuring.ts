import { alignment, bench, clutch, driveline, fasteners, fluids, handling, hydraulics, sequence } from '../../../core'
import { all, one } from './one'
import type { Case } from './one'

const round = [0, 90, 180, 270].map((angleDeg, index) => ({ angleDeg, heightMm: 0.01 * index }))
const gaps = round.map(({ angleDeg }, index) => ({ angleDeg, gapMm: 10 + index / 10 }))
const half = { massKg: 1500, balanceMm: 900, axleMm: 0, supportMm: 1600 }
const tail = { loweredMm: 40, behindMm: 900 }
const places = [
  { name: 'hose', xMm: 100, yMm: 600, along: 'x' as const, roomMm: 60 },
  { name: 'top bolt', xMm: 800, yMm: 100, along: 'y' as const, wantedMm: 20 },
]
const members = [
  { id: 'box', pitchDeg: 2, yawDeg: 0 },
  { id: 'shaft', pitchDeg: 5, yawDeg: 0 },
  { id: 'axle', pitchDeg: 2, yawDeg: 0 },
]
const ring = [0, 1, 2, 3, 4, 5].map(bolt => ({
  x: 100 * Math.sin((bolt * Math.PI) / 3),
  y: 100 * Math.cos((bolt * Math.PI) / 3),
}))
const rising = Array.from({ length: 12 }, (_, at) => ({ angleDeg: at * 5, torqueNm: 2 + at * 2 }))
const day = { estimate: [20, 30, 50] as [number, number, number], setupMinutes: 5, waits: [], notBefore: 0 }

/** Functions that measure, lay out and reckon, with input that is good. */
export const measuring: Case[] = [
  one('alignment.boreOffset', alignment.boreOffset, round),
  one('alignment.fitHarmonic', alignment.fitHarmonic, round),
  all('alignment.faceGap', alignment.faceGap, [gaps, 300]),
  one('alignment.rimGaps', alignment.rimGaps, [10, 10.2, 10.4, 10.1]),
  one('alignment.hubOffset', alignment.hubOffset, { frontPlayMm: 0.1, rearPlayMm: 0.1, splinePlayMm: 0.05 }),
  all('alignment.offsetDowels', alignment.offsetDowels, [{ offsetMm: 0.2, atDeg: 40 }, [0.18, 0.36]]),
  one('alignment.toolFit', alignment.toolFit, { toolMm: 14, shaftMm: 15, tapeMm: 0.13 }),
  one('alignment.converterSeat', alignment.converterSeat, {
    bellFaceToPadsMm: 25,
    engineFaceToFlexplateMm: 21,
    windowMm: [2, 5] as [number, number],
    dropsMm: [6, 5],
  }),
  all('alignment.turnDeg', alignment.turnDeg, [400]),
  all('alignment.shortWayDeg', alignment.shortWayDeg, [10, 350]),
  all('alignment.clockOf', alignment.clockOf, [90]),
  all('bench.springVerdict', bench.springVerdict, [
    { id: 'a', wireMm: 1, coilDiameterMm: 8, activeCoils: 6 },
    { id: 'found', wireMm: 1, coilDiameterMm: 8, activeCoils: 6 },
    [
      { id: 'a', wireMm: 1, coilDiameterMm: 8, activeCoils: 6 },
      { id: 'b', wireMm: 1.4, coilDiameterMm: 9, activeCoils: 8 },
    ],
  ]),
  all('clutch.frictionRadiusMm', clutch.frictionRadiusMm, ['uniform-wear', 240, 160] as [
    'uniform-wear',
    number,
    number,
  ]),
  one('clutch.concentricGap', clutch.concentricGap, {
    bearingMm: 60,
    fingersMm: 52,
    windowMm: [2, 6] as [number, number],
    shimsMm: [1, 2],
  }),
  all('clutch.flywheelMatch', clutch.flywheelMatch, [
    { faceMm: 40, ringMm: 20, teeth: 132, boltCircleMm: 78, massKg: 8 },
    { faceMm: 40.2, ringMm: 20, teeth: 132, boltCircleMm: 78, massKg: 7 },
    { spacerMm: 2, clampedMm: 8, boltMm: 24, threadMm: 10, holeMm: 20, bearingRoomMm: 5 },
  ]),
  one('clutch.launchHeat', clutch.launchHeat, {
    massKg: 1500,
    ratio: 12,
    tyreRadiusMm: 300,
    enginePerMinute: 1500,
    clutchNm: 200,
    loadNm: 20,
    ironKg: 10,
    faceMm2: 20_000,
    faces: 2,
  }),
  one('clutch.releaseDemand', clutch.releaseDemand, {
    clampN: 5000,
    fingerRatio: 4,
    liftPerFaceMm: 0.4,
    faces: 2,
    peakShare: 1.1,
  }),
  one('clutch.travelCauses', clutch.travelCauses, {
    predictedMm: 8,
    spreadMm: 0.3,
    measuredMm: 7,
    strokeMm: 10,
    strokeWantedMm: 12,
  }),
  one('clutch.twoStagePedal', clutch.twoStagePedal, {
    freePlayMm: 25,
    driveFreesMm: 70,
    takeOffFreesMm: 120,
    endMm: 160,
    brakeTouchesMm: 170,
    freePlayWindowMm: [20, 30] as [number, number],
    overTravelMm: 10,
  }),
  one('clutch.matchParts', clutch.matchParts, [
    { name: 'disc', old: 240, new: 240, within: 1, unit: 'mm', because: 'It does not fit.' },
  ]),
  all('driveline.correctLine', driveline.correctLine, [
    members,
    { mountBehindMm: 900, tailBehindMm: 1100, shaftLengthMm: 1300 },
  ]),
  one('driveline.cutCentre', driveline.cutCentre, {
    bellToShifterMm: 600,
    asideMm: 10,
    betweenMm: 5,
    riseMm: 100,
    fallDeg: 3,
    engineToMarkMm: 550,
    markAsideMm: 5,
  }),
  all('driveline.jointAngle', driveline.jointAngle, [members[0]!, members[1]!]),
  all('driveline.mountShim', driveline.mountShim, [0.5, 900]),
  all('driveline.rippleAcceleration', driveline.rippleAcceleration, [0.5, 3000]),
  one('driveline.rollingMm', driveline.rollingMm, { widthMm: 205, aspect: 55, rimIn: 16 }),
  one('driveline.shaftLength', driveline.shaftLength, {
    sealToJointMm: 1400,
    yokeHomeMm: 60,
    slipMm: 20,
    splineMm: 110,
    shaftMm: 35,
  }),
  all('driveline.shaftSpeed', driveline.shaftSpeed, [80, 3.5, 1900]),
  all('driveline.speedRipple', driveline.speedRipple, [5, 30]),
  all('fasteners.boltComplianceMmPerN', fasteners.boltComplianceMmPerN, ['M10', 30]),
  all('fasteners.clampComplianceMmPerN', fasteners.clampComplianceMmPerN, ['M10', 30, 'steel'] as never),
  one('fasteners.calibratedRange', fasteners.calibratedRange, { minNm: 20, maxNm: 200 }),
  one('fasteners.clampSpread', fasteners.clampSpread, [20_000, 22_000]),
  all('fasteners.clockPosition', fasteners.clockPosition, [100, 50]),
  all('fasteners.crossPattern', fasteners.crossPattern, [6]),
  all('fasteners.drawDown', fasteners.drawDown, [
    {
      boltCount: 6,
      radiusMm: 130,
      gapMm: 1,
      springNPerMm: 1000,
      seatNPerMm: 300_000,
      rimNPerMm: 20_000,
      boltNPerMm: 200_000,
    },
    [
      { bolt: 0, preloadN: 5000 },
      { bolt: 3, preloadN: 5000 },
    ],
  ] as never),
  one('fasteners.inSeries', fasteners.inSeries, [10, 20]),
  all('fasteners.torsionalStiffness', fasteners.torsionalStiffness, [250, 12]),
  all('fasteners.ringPlaces', fasteners.ringPlaces, [6, 100]),
  one('fasteners.stressAreaMm2', fasteners.stressAreaMm2, {
    system: 'metric',
    name: 'M8',
    diameterMm: 8,
    pitchMm: 1.25,
  } as never),
  all('fasteners.strength', fasteners.strength, ['8.8', 8]),
  one('fasteners.tighteningOrder', fasteners.tighteningOrder, ring),
  one('fasteners.aroundOrder', fasteners.aroundOrder, ring),
  all('fasteners.tighteningPasses', fasteners.tighteningPasses, [6, 20]),
  all('fasteners.looseningPasses', fasteners.looseningPasses, [ring]),
  all('fasteners.readTightening', fasteners.readTightening, [rising, { targetNm: 24 }]),
  all('fluids.blend', fluids.blend, [2000, [{ share: 1, bottleMl: 1000, onShelfMl: 200 }]]),
  one('fluids.drained', fluids.drained, { outMl: 1800, capacityMl: 2000 }),
  all('fluids.syringeStrokes', fluids.syringeStrokes, [1800, 200]),
  one('handling.splitLoads', handling.splitLoads, { front: half, rear: half, slopeDeg: 2 }),
  all('handling.supportLoads', handling.supportLoads, [
    [{ id: 'car', massKg: 1200, xMm: 1200, yMm: 0 }],
    [
      { id: 'a', xMm: 0, yMm: -500, preKg: 5 },
      { id: 'b', xMm: 0, yMm: 500, preKg: 0 },
      { id: 'c', xMm: 2400, yMm: 0, preKg: 0 },
    ],
  ]),
  all('handling.tilt', handling.tilt, [tail, places]),
  all('handling.tiltWindow', handling.tiltWindow, [900, places]),
  one('handling.tubeStrap', handling.tubeStrap, {
    massKg: 180,
    balanceMm: 300,
    strapMm: 1200,
    spanMm: 500,
    hangMm: 300,
    dropMm: 60,
    braceMm: 900,
    braceGapMm: 120,
  }),
  one('hydraulics.actuatorWindow', hydraulics.actuatorWindow, {
    reportedMm: 12,
    lowMm: 10,
    highMm: 16,
    growsWithWear: true,
  }),
  one('hydraulics.cycleSeconds', hydraulics.cycleSeconds, [
    { word: 'press', seconds: 2 },
    { word: 'hold', seconds: 3 },
  ] as never),
  one('hydraulics.roundsLeft', hydraulics.roundsLeft, { airMl: [3, 2, 1.2], allowedMl: 0.2 }),
  one('hydraulics.strokeMl', hydraulics.strokeMl, { masterBoreMm: 19, strokeMm: 20, deliveredShare: 1 }),
  one('sequence.calibration', sequence.calibration, [{ predicted: [300, 320, 340], actual: 330 }]),
  all('sequence.finishTimes', sequence.finishTimes, [[day, day], null] as never),
  one(
    'sequence.finishOdds',
    (steps: unknown) => sequence.finishOdds({ steps, calendar: null } as never, { draws: 10 }),
    [day, day],
  ),
  all('sequence.learnMinutes', sequence.learnMinutes, [
    [10, 15, 25],
    [{ minutes: 14, troubled: false, doneAt: '2026-03-02T10:00:00Z' }],
  ] as never),
  one('sequence.pertMean', sequence.pertMean, [10, 15, 25] as [number, number, number]),
  one('sequence.pertVariance', sequence.pertVariance, [10, 15, 25] as [number, number, number]),
  all('sequence.quantileOf', sequence.quantileOf, [[10, 15, 25], 0.8] as never),
  all('sequence.darkFrom', sequence.darkFrom, [52, 5, 60]),
]
