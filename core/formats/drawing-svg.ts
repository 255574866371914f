import type { Drawing, PageShape } from './drawing'

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, letter => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[letter]!)
const number = (value: number): string => String(Math.round(value * 1000) / 1000)

/** A drawing as a whole SVG file at 1:1: its user unit is the millimetre. */
export function drawingSvg({ widthMm, heightMm, shapes }: Drawing): string {
  const [width, height] = [number(widthMm), number(heightMm)]
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" fill="none" stroke="#000" font-family="sans-serif">`,
    ...shapes.map(shapeSvg),
    '</svg>',
    '',
  ].join('\n')
}

function shapeSvg(shape: PageShape): string {
  switch (shape.kind) {
    case 'circle':
      return `<circle cx="${number(shape.x)}" cy="${number(shape.y)}" r="${number(shape.radiusMm)}" stroke-width="${number(shape.widthMm)}"/>`
    case 'path': {
      const points = shape.points.map(([x, y], index) => `${index ? 'L' : 'M'}${number(x)} ${number(y)}`).join('')
      return `<path d="${points}${shape.closed ? 'Z' : ''}" stroke-width="${number(shape.widthMm)}"${shape.dash ? ' stroke-dasharray="2 2"' : ''}/>`
    }
    case 'text':
      return `<text x="${number(shape.x)}" y="${number(shape.y)}" font-size="${number(shape.sizeMm)}" text-anchor="${shape.anchor}"${shape.bold ? ' font-weight="700"' : ''} fill="#000" stroke="none">${escaped(shape.text)}</text>`
  }
}
