/** The papers' type. It stands by itself, so that the server can find its files without the library that prints. */
export const FACES = {
  normal: 'atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: 'atkinson-hyperlegible-next-latin-700-normal.woff',
} as const

/** The files of the type, by their names. */
export type FontFiles = Record<string, Uint8Array>
