import type { Body, Piece } from '../../../pack/bodies'

/** Every piece of a body, pocket by pocket. */
export const piecesOf = (body: Pick<Body, 'pockets'>): Piece[] => body.pockets.flatMap(pocket => pocket.pieces)
