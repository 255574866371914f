import { travelForecast, wearByTravel, wearConfirmed } from './automated'
import type { Judge, JudgeKind } from '../judgement'
import { boreOffCentre, faceSquare } from './bell'
import { capacity, heatOfAStart, releaseLoad } from './capacity'
import { discInRim, hubsInLine, splinesMeet, toolInPilot } from './centring'
import { boltRing, converterFilled, converterHome, coolerFlushed, flatFace, levelAtOverflow } from './converter'
import { fingerHeights } from './cover'
import { discWear, partMatch } from './disc'
import { floorCut, madeToLength, newPartsMeet } from './conversion'
import { bearingForward, driveAngles, filling } from './driveline'
import { concentricSetUp, matchHeight, playLimit, sealDepth } from './fits'
import { dualMassWheel, faceRunout, machining } from './flywheel'
import { flywheelAgainstOld } from './flywheel-match'
import { handsOrJack, onStands, roomUnder, supportShare } from './handling'
import { airInLine, pedalProof, pumped, releaseByCable, releaseByFluid, taughtWindow } from './pedal'
import { pilotSeat, pilotStack } from './pilot'
import { pistonsTurned, pistonsZero } from './pistons'
import { engineEnd, engineTilt } from './tilt'
import { adjustersSet, adjustersToGo, discToldByHub, halvesParted, longShaft, pedalInStages } from './tractor'
import { ringToTeeth, strapAndTimber, tubeDrop } from './tube'

/** Every computation a sheet can ask for. */
export const judges: Record<JudgeKind, Judge> = {
  'disc-wear': discWear,
  'part-match': partMatch,
  'finger-heights': fingerHeights,
  'face-runout': faceRunout,
  'face-square': faceSquare,
  'bore-offset': boreOffCentre,
  'dual-mass': dualMassWheel,
  'machining-left': machining,
  'pilot-seat': pilotSeat,
  'pilot-stack': pilotStack,
  'seal-depth': sealDepth,
  'play-limit': playLimit,
  'match-height': matchHeight,
  'concentric-gap': concentricSetUp,
  'torque-capacity': capacity,
  'launch-heat': heatOfAStart,
  'hands-or-jack': handsOrJack,
  'stand-loads': onStands,
  'support-share': supportShare,
  'bearing-forward': bearingForward,
  'clutch-fits': newPartsMeet,
  'floor-cut': floorCut,
  'shaft-length': madeToLength,
  'room-under': roomUnder,
  'engine-tilt': engineTilt,
  'engine-end': engineEnd,
  'rim-gaps': discInRim,
  'flywheel-match': flywheelAgainstOld,
  'drive-angles': driveAngles,
  filling: filling,
  'release-demand': releaseLoad,
  'release-chain': releaseByFluid,
  'release-cable': releaseByCable,
  'actuator-window': taughtWindow,
  'trapped-air': airInLine,
  'pumped-pedal': pumped,
  'pedal-proof': pedalProof,
  'converter-seat': converterHome,
  'converter-filled': converterFilled,
  'bolt-ring': boltRing,
  'cooler-flush': coolerFlushed,
  'overflow-level': levelAtOverflow,
  flatness: flatFace,
  'wear-by-travel': wearByTravel,
  'wear-confirmed': wearConfirmed,
  'travel-forecast': travelForecast,
  'piston-turn': pistonsTurned,
  'piston-zero': pistonsZero,
  'tube-drop': tubeDrop,
  'tube-strap': strapAndTimber,
  'ring-turn': ringToTeeth,
  'split-halves': halvesParted,
  'adjuster-turns': adjustersToGo,
  'adjuster-gaps': adjustersSet,
  'two-stage-pedal': pedalInStages,
  'long-shaft': longShaft,
  'hub-told': discToldByHub,
  'tool-fit': toolInPilot,
  'spline-clock': splinesMeet,
  'hub-offset': hubsInLine,
}
