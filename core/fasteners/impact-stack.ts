import { FieldError, within } from '../base/field-error'

/** One piece between the gun and the bolt. */
export type StackPiece =
  | { kind: 'extension'; lengthMm: number; diameterMm: number }
  | { kind: 'socket'; lengthMm: number; diameterMm: number }
  /** A universal joint, bent by so much. */
  | { kind: 'wobble'; diameterMm: number; angleDeg: number }

/** Shear modulus of tool steel, in MPa; any materials handbook. */
const SHEAR_MPA = 79_000
/** A joint's fork and pin twist like a bar of its diameter this many diameters long. Common practice, no source. */
const JOINT_LENGTH_DIAMETERS = 6
/** A gun's own hammer and square give too, in N·m/rad. Common practice, no source. */
const GUN_STIFFNESS = 2500
/** What each joint of square and socket lets go to waste by its play, as a share of the blow. Common practice, no source. */
const LOST_IN_PLAY = 0.04

/** Torsional stiffness of a round bar, in N·m/rad: k = G J / L with J = π d⁴ / 32. */
export function torsionalStiffness(lengthMm: number, diameterMm: number): number {
  within('lengthMm', lengthMm, 1, 2000, 'A length in mm')
  within('diameterMm', diameterMm, 3, 60, 'A diameter in mm')
  return (SHEAR_MPA * Math.PI * diameterMm ** 4) / 32 / lengthMm / 1000
}

/** Springs in series: 1/k = Σ 1/ki, in N·m/rad. */
export function inSeries(stiffnesses: number[]): number {
  if (stiffnesses.length === 0) throw new FieldError('stiffnesses', 'At least one spring is wanted.')
  stiffnesses.forEach((each, index) => within(`stiffnesses[${index}]`, each, 1e-9, 1e12, 'A stiffness'))
  return 1 / stiffnesses.reduce((sum, stiffness) => sum + 1 / stiffness, 0)
}

function stiffnessOf(piece: StackPiece): number {
  return piece.kind === 'wobble'
    ? torsionalStiffness(piece.diameterMm * JOINT_LENGTH_DIAMETERS, piece.diameterMm)
    : torsionalStiffness(piece.lengthMm, piece.diameterMm)
}

/**
 * How much of an impact gun's blow is left at the bolt after a stack of extensions and wobble joints,
 * against the same gun with its socket alone.
 *
 * A hammer blow of fixed energy winds the stack up as a spring: peak torque = √(2 k E), so it goes with √k; the springs
 * stand in series. A bent joint passes on cos β of it. Formula; play and joint stiffness are common practice, no source.
 * @param socket the socket alone on the gun
 * @param stack what stands between gun and socket, gun first
 * @param gunStiffness of the gun's hammer and square, in N·m/rad
 * @returns share of the peak torque that is left, 0 to 1, and the stiffness of both, in N·m/rad
 * @throws FieldError on the field at fault
 */
export function blowLeft(
  socket: StackPiece,
  stack: StackPiece[],
  gunStiffness = GUN_STIFFNESS,
): { share: number; stiffness: number; aloneStiffness: number } {
  if (socket.kind !== 'socket') throw new FieldError('socket', 'The last piece is the socket on the bolt.')
  const aloneStiffness = inSeries([gunStiffness, stiffnessOf(socket)])
  const stiffness = inSeries([...stack.map(stiffnessOf), aloneStiffness])
  const bends = stack.reduce((share, piece) => {
    if (piece.kind !== 'wobble') return share
    within('angleDeg', piece.angleDeg, 0, 45, 'A wobble joint’s angle in degrees')
    return share * Math.cos((piece.angleDeg * Math.PI) / 180)
  }, 1)
  return {
    share: Math.sqrt(stiffness / aloneStiffness) * bends * (1 - LOST_IN_PLAY) ** stack.length,
    stiffness,
    aloneStiffness,
  }
}
