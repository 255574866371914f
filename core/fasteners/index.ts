export { crossPattern } from './cross-pattern'
export { aroundOrder, looseningPasses, passKinds, tighteningPasses } from './tightening-passes'
export type { PassKind, TighteningPass } from './tightening-passes'
export { nextBolt, runLength } from './run-progress'
export type { NextBolt, RunPlan } from './run-progress'
export { figureInForce, figureProblem, patterns, renewRules, sourceKinds, stagesOf } from './figure'
export type { Figure, Pattern, RenewRule, SourceKind, Stage } from './figure'
export {
  boltConditions,
  boltName,
  boltStands,
  holdsPart,
  isOut,
  checkPlace,
  clockPosition,
  countBoard,
  headKinds,
  outlinePoints,
  ringPlaces,
  typicalBoard,
} from './bolt-board'
export type { BoardBolt, BoardCount, BoltBoard, BoltCondition, BoltDetails, BoltStand, HeadKind } from './bolt-board'
export { FieldError } from '../base/field-error'
export { parseThread, stressAreaMm2, pitchDiameterMm, rootDiameterMm } from './thread'
export type { Thread, ThreadLike } from './thread'
export { boltMaterial, strength, propertyClasses } from './strength'
export type { Strength } from './strength'
export { tighten } from './tighten'
export type { Friction, Tightening } from './tighten'
export { conditionOf, frictionOf, headTreatments, threadConditions, threadTreatments, treatmentOf } from './condition'
export type { HeadTreatment, ThreadCondition, ThreadTreatment } from './condition'
export { engagementForMm, shearAreas, strippingLoadN, threadMaterials } from './thread-stripping'
export { leastMaterial } from './thread-limits'
export { headShapes, usualHead } from './head'
export type { HeadShape } from './head'
export type { ThreadMaterial } from './thread-stripping'
export { judgeSpec, loadJoint } from './judge-spec'
export type { Joint, JointLoad, SpecVerdict } from './judge-spec'
export { unitSlip } from './unit-slip'
export type { TorqueUnit } from './unit-slip'
export { ceilingOf } from './ceiling'
export type { Ceiling } from './ceiling'
export { boltComplianceMmPerN, clampComplianceMmPerN } from './stiffness'
export { torqueAngle } from './torque-angle'
export type { TorqueAngle, TorqueAngleResult } from './torque-angle'
export { calibratedRange, calibrationOverdue, chooseWrench, driveSizes, wrenchSetting } from './wrench'
export type { DriveSize, TorqueWrench, WrenchChoice } from './wrench'
export { blowLeft, inSeries, torsionalStiffness } from './impact-stack'
export type { StackPiece } from './impact-stack'
export { tighteningOrder } from './tightening-order'
export type { Point } from './tightening-order'
export { readAnglePass, takenUp } from './angle-pass'
export type { AnglePass } from './angle-pass'
export { readTightening, tighteningReader } from './read-tightening'
export { TighteningReader, tighteningVerdicts } from './tightening-reader'
export type { TighteningJoint } from './read-tightening'
export type { JointState, TighteningReading, TighteningVerdict } from './tightening-reader'
export type { TighteningSample } from './tightening-curve'
export { clampSpread, drawDown, drawSystem } from './evenness'
export type { PulledPart, DrawState, DrawStep } from './evenness'
export { feels, feelVerdict, keepReading, samplesOf } from './feel'
export type { BoltReading, Feel } from './feel'
export { checkFacts, jointOf } from './fastener-facts'
export type { FastenerFacts } from './fastener-facts'
export { matchBag } from './match-bag'
export type { BagBolts, BagMatch, BoltPlace } from './match-bag'
export { springRate } from './spring-rate'
export type { Spring } from './spring-rate'
