import { byId } from '../../base/by-id'
import type { Body, BodyWant, Piece } from '../../pack/bodies'
import type { JobState } from '../chapters'
import type { LoosePiece, PieceStand, PlugStand } from '../chapters/bodies'
import { piecesOf } from '../chapters/bodies/pieces-of'

export function pieceStand(state: JobState, bodyId: string, pieceId: string): PieceStand {
  return state.bodies[bodyId]?.pieces[pieceId] ?? 'in'
}

export function plugStand(state: JobState, bodyId: string, plugId: string): PlugStand {
  return state.bodies[bodyId]?.plugs[plugId] ?? 'on'
}

/** What lies there and is nobody's yet. */
export function looseNow(state: JobState, bodyId: string): LoosePiece[] {
  return (state.bodies[bodyId]?.loose ?? []).filter(entry => entry.placed === undefined)
}

/** What is missing for what a step wants of a body, in words; `null` when nothing is. */
export function bodyMissing(state: JobState, bodyId: string, wants: BodyWant): string | null {
  const body = byId(state.procedure?.bodies ?? [], bodyId)
  if (!body) return null
  if (wants === 'pieces-in') return piecesMissing(state, body)
  const wanted: PlugStand[] = wants === 'plugs-off' ? ['off'] : ['tugged']
  const left = body.plugs.filter(plug => !wanted.includes(plugStand(state, bodyId, plug.id)))
  if (left.length === 0) return null
  const names = left.map(plug => `${plug.name} (${plug.wires})`).join(', ')
  return wants === 'plugs-off'
    ? `${left.length} of ${body.plugs.length} plugs are on still: ${names}.`
    : `${left.length} of ${body.plugs.length} plugs have not been tugged at: ${names}.`
}

function piecesMissing(state: JobState, body: Body): string | null {
  const loose = looseNow(state, body.id)
  if (loose.length > 0)
    return `${loose.map(entry => entry.what).join(', ')}: it lies there, and nobody has said where it belongs.`
  const pieces = piecesOf(body)
  const out = pieces.filter(piece => pieceStand(state, body.id, piece.id) === 'out')
  if (out.length > 0) return `${out.length} of ${pieces.length} pieces are out: ${namesOf(body, out)}.`
  const unseen = pieces.filter(piece => pieceStand(state, body.id, piece.id) !== 'confirmed')
  return unseen.length > 0
    ? `${unseen.length} of ${pieces.length} pieces have not been looked at once more: ${namesOf(body, unseen)}.`
    : null
}

/** Pieces as a mechanic calls them: pocket, then piece. */
function namesOf(body: Body, pieces: Piece[]): string {
  return body.pockets
    .filter(pocket => pocket.pieces.some(piece => pieces.includes(piece)))
    .map(
      pocket =>
        `${pocket.name}: ${pocket.pieces
          .filter(piece => pieces.includes(piece))
          .map(({ name }) => name)
          .join(', ')}`,
    )
    .join('; ')
}
