import { papers } from '../../core/formats'
import type { Paper, PageShape, Page } from '../../core/formats'

const POINTS_PER_MM = 72 / 25.4

/** Sheets as a PDF at 1:1. The library is fetched when it is first wanted. */
export async function sheetsPdf(sheets: Page[], paper: Paper, title: string): Promise<Blob> {
  const { jsPDF } = await import('jspdf')
  const { widthMm, heightMm } = papers[paper]
  const pdf = new jsPDF({ unit: 'mm', format: [widthMm, heightMm], orientation: 'portrait', compress: true })
  pdf.setProperties({ title })
  pdf.setLineJoin('round')
  return finish()

  function finish(): Blob {
    sheets.forEach((sheet, index) => {
      if (index > 0) pdf.addPage([widthMm, heightMm], 'portrait')
      for (const shape of sheet.shapes) draw(shape, 0, 0)
      if (!sheet.window) return
      const { x, y, fromX, fromY } = sheet.window
      pdf.saveGraphicsState()
      pdf.rect(x, y, sheet.window.widthMm, sheet.window.heightMm, null)
      pdf.clip()
      pdf.discardPath()
      for (const shape of sheet.drawing) draw(shape, x - fromX, y - fromY)
      pdf.restoreGraphicsState()
    })
    return pdf.output('blob')
  }

  function draw(shape: PageShape, dx: number, dy: number): void {
    if (shape.kind === 'text') {
      pdf.setFont('helvetica', shape.bold ? 'bold' : 'normal')
      pdf.setFontSize(shape.sizeMm * POINTS_PER_MM)
      pdf.text(printable(shape.text), shape.x + dx, shape.y + dy, {
        align: shape.anchor === 'start' ? 'left' : shape.anchor === 'end' ? 'right' : 'center',
      })
      return
    }
    pdf.setLineWidth(shape.widthMm)
    if (shape.kind === 'circle') pdf.circle(shape.x + dx, shape.y + dy, shape.radiusMm, 'S')
    else {
      const [first, ...rest] = shape.points
      const steps = rest.map(([x, y], index): [number, number] => {
        const [fromX, fromY] = index === 0 ? first! : rest[index - 1]!
        return [x - fromX, y - fromY]
      })
      pdf.lines(steps, first![0] + dx, first![1] + dy, [1, 1], 'S', shape.closed)
    }
  }
}

/** The PDF's own letters know no typographic marks. */
function printable(text: string): string {
  return text.replace(/[’‘]/g, "'").replace(/…/g, '...').replace(/[–—]/g, '-')
}
