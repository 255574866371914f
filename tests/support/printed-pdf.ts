import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** Dots per millimetre of the pictures taken. */
export const DOTS_PER_MM = 10

/** A printed page as grey dots: 0 black, 255 white. */
export interface PrintedPage {
  width: number
  height: number
  dark: (x: number, y: number) => boolean
}

/** The text of a PDF, by poppler's `pdftotext`. */
export function pdfText(path: string): string {
  return execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
}

/** Every page of a PDF as a picture, by poppler's `pdftoppm`, at ten dots to the millimetre. */
export function pdfPages(path: string): PrintedPage[] {
  const folder = mkdtempSync(join(tmpdir(), 'eldrin-pdf-'))
  try {
    execFileSync('pdftoppm', ['-gray', '-r', String(DOTS_PER_MM * 25.4), path, join(folder, 'page')])
    const names = execFileSync('ls', [folder], { encoding: 'utf8' }).trim().split('\n').sort()
    return names.map(name => readGrey(readFileSync(join(folder, name))))
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** Reads a binary greyscale picture (PGM). */
function readGrey(file: Buffer): PrintedPage {
  const header = /^P5\s+(\d+)\s+(\d+)\s+(\d+)\s/.exec(file.subarray(0, 60).toString('latin1'))!
  const [width, height] = [Number(header[1]), Number(header[2])]
  const dots = file.subarray(header[0].length)
  return { width, height, dark: (x, y) => dots[y * width + x]! < 128 }
}

/** The longest unbroken dark line across a page within a band, in mm. */
export function longestLineMm(page: PrintedPage, fromMm: number, toMm: number): number {
  let longest = 0
  for (let y = Math.round(fromMm * DOTS_PER_MM); y < Math.min(page.height, Math.round(toMm * DOTS_PER_MM)); y++) {
    let run = 0
    for (let x = 0; x < page.width; x++) {
      run = page.dark(x, y) ? run + 1 : 0
      longest = Math.max(longest, run)
    }
  }
  return longest / DOTS_PER_MM
}

/** Share of the points of a circle that are dark, to within a dot. */
export function circleDrawn(page: PrintedPage, xMm: number, yMm: number, radiusMm: number): number {
  const points = 180
  let dark = 0
  for (let index = 0; index < points; index++) {
    const angle = (index / points) * 2 * Math.PI
    const [x, y] = [(xMm + radiusMm * Math.cos(angle)) * DOTS_PER_MM, (yMm + radiusMm * Math.sin(angle)) * DOTS_PER_MM]
    const near = [
      [0, 0],
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ].some(([dx, dy]) => page.dark(Math.round(x + dx!), Math.round(y + dy!)))
    if (near) dark++
  }
  return dark / points
}
