import { clockOf, hubOffset, rimGaps, splineClock, toolFit } from '../../alignment'
import { figure, mm } from '../judgement'
import type { Judge } from '../judgement'

/** What the chamfers of shaft and hub forgive to one side, in mm. Common practice, no source. */
const FORGIVEN_MM = 0.25
/** The tool goes in as far as it did when it was truly home, give or take this, in mm. */
const HOME_MM = 0.5

export const toolInPilot: Judge = {
  inputs: {
    tool: 'number',
    shaft: 'number',
    bore: 'number',
    collar: 'number',
    hub: 'number',
    tape: 'number',
    home: 'number',
    again: 'number',
  },
  needs: ['tool', 'shaft', 'tape'],
  judge(given) {
    const [toolMm, shaftMm, tapeMm] = [given.number('tool'), given.number('shaft'), given.number('tape')]
    if (toolMm > shaftMm)
      return {
        level: 'renew',
        sentence: `The tool is ${mm(toolMm - shaftMm)} thicker than the tip of the shaft: it belongs to another car, or would force the pilot.`,
        working: [],
        figures: [],
      }
    const fit = toolFit({ toolMm, shaftMm, tapeMm })
    const bore = given.maybe('bore')
    const playInPilot = bore === undefined ? fit.radialPlayMm : (bore - toolMm) / 2
    const [collar, hub] = [given.maybe('collar'), given.maybe('hub')]
    const playInHub = collar === undefined || hub === undefined ? 0 : (hub - collar) / 2
    if (playInHub < 0)
      return {
        level: 'renew',
        sentence: `The tool is ${mm(collar! - hub!)} thicker than the hub: it does not go through, or it is another spline.`,
        working: [],
        figures: [],
      }
    const playInBore = playInPilot + playInHub
    const left = fit.radialPlayMm - fit.wraps * tapeMm
    const loose = playInBore > FORGIVEN_MM
    const [home, again] = [given.maybe('home'), given.maybe('again')]
    const moved = home !== undefined && again !== undefined ? home - again : null
    const caught = moved !== null && Math.abs(moved) > HOME_MM
    const advice =
      fit.wraps === 0
        ? 'No tape is needed.'
        : `${fit.wraps} ${fit.wraps === 1 ? 'turn' : 'turns'} of tape true it and leave ${mm(left)}, so that it still draws out with one finger.`
    const after =
      moved === null
        ? ''
        : caught
          ? ` After tightening it stops ${mm(Math.abs(moved))} ${moved > 0 ? 'short of' : 'beyond'} its mark: the disc has moved. Slacken and set it again.`
          : ' After tightening it goes home to its mark.'
    return {
      level: caught ? 'renew' : loose && fit.wraps > 0 ? 'watch' : 'good',
      sentence: `The disc can sit ${mm(playInBore)} off the middle${loose ? ', and the box may not go on' : '; the box will go on'}. ${advice}${after}`,
      working: [
        `play against the shaft: (${mm(shaftMm)} − ${mm(toolMm)}) / 2 = ${mm(fit.radialPlayMm, 3)}`,
        ...(bore === undefined ? [] : [`play in the pilot: (${mm(bore)} − ${mm(toolMm)}) / 2 = ${mm(playInPilot, 3)}`]),
        ...(playInHub > 0
          ? [`play in the hub: (${mm(hub!)} − ${mm(collar!)}) / 2 = ${mm(playInHub, 3)}, together ${mm(playInBore, 3)}`]
          : []),
        `turns of tape: ${mm(fit.radialPlayMm, 3)} / ${mm(tapeMm, 3)}, rounded down = ${fit.wraps}`,
        `chamfers forgive ${mm(FORGIVEN_MM)}, common practice`,
        ...(moved === null ? [] : [`full depth ${mm(home!, 1)}, after tightening ${mm(again!, 1)}`]),
      ],
      figures: [figure('off the middle', playInBore, 'mm'), figure('tape', fit.wraps, 'turns', 0)],
    }
  },
}

export const splinesMeet: Judge = {
  inputs: { splines: 'number', disc: 'number', shaft: 'number' },
  needs: ['splines', 'disc', 'shaft'],
  judge(given) {
    const found = splineClock({
      splines: given.number('splines'),
      discDeg: given.number('disc'),
      shaftDeg: given.number('shaft'),
    })
    return {
      level: found.meets ? 'good' : 'watch',
      sentence: found.meets
        ? 'The teeth meet: the box goes home as it hangs.'
        : `Turn the input shaft ${Math.abs(found.turnDeg).toFixed(1)}° ${found.turnDeg > 0 ? 'clockwise' : 'anticlockwise'}, as you look into the bell: ${Math.abs(found.teeth).toFixed(2)} of a tooth.`,
      working: [
        `one tooth is 360° / ${given.number('splines')} = ${(360 / given.number('splines')).toFixed(2)}°`,
        `the disc’s tooth at ${given.number('disc')}° seen from the box lies at ${((360 - given.number('disc')) % 360).toFixed(0)}° for who looks into the bell; the shaft’s stands at ${given.number('shaft')}°`,
        `to the nearest tooth: ${found.turnDeg.toFixed(1)}°`,
      ],
      figures: [figure('turn', found.turnDeg, '°', 1)],
    }
  },
}

export const hubsInLine: Judge = {
  inputs: { front: 'number', rear: 'number', spline: 'number' },
  needs: ['front', 'rear', 'spline'],
  judge(given) {
    const found = hubOffset({
      frontPlayMm: given.number('front'),
      rearPlayMm: given.number('rear'),
      splinePlayMm: given.number('spline'),
    })
    return {
      level: found.goesOn ? 'good' : 'renew',
      sentence: found.goesOn
        ? `The hubs may stand ${mm(found.offsetMm)} beside each other; the shaft’s play of ${mm(found.allowedMm)} takes that.`
        : `The hubs may stand ${mm(found.offsetMm)} beside each other, more than the shaft’s play of ${mm(found.allowedMm)}: it enters the first disc and stops at the second. True the tool and set them again.`,
      working: [`(${mm(given.number('front'))} + ${mm(given.number('rear'))}) / 2 = ${mm(found.offsetMm)}`],
      figures: [figure('beside each other', found.offsetMm, 'mm')],
    }
  },
}

export const discInRim: Judge = {
  inputs: { gaps: 'points', limit: 'number' },
  needs: ['gaps', 'limit'],
  judge(given) {
    const limit = given.number('limit')
    const found = rimGaps(given.points('gaps'))
    const isIn = found.offsetMm <= limit
    const unsure = found.restMm > limit
    const move = `Move it ${mm(found.offsetMm)} toward ${clockOf(found.moveTowardDeg)}`
    return {
      level: unsure ? 'watch' : isIn ? 'good' : 'renew',
      sentence: unsure
        ? `The gaps do not belong to one round rim: they are ${mm(found.restMm)} off it. Measure again, the feeler square, or turn the disc and look whether it is its rim.`
        : isIn
          ? `The disc sits ${mm(found.offsetMm)} off the middle: the shaft finds it.`
          : `The disc sits ${mm(found.offsetMm)} off the middle. ${move}, and nip the cover again.`,
      working: [
        `gap = mean + e cos(θ − φ), by least squares: mean ${mm(found.meanGapMm)}, e ${mm(found.offsetMm)}, widest at ${clockOf(found.moveTowardDeg)}`,
        `off one round rim by ${mm(found.restMm)} at most`,
        `may be off by ${mm(limit)}`,
      ],
      figures: [figure('off the middle', found.offsetMm, 'mm')],
    }
  },
}
