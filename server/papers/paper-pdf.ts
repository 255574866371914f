import pdfmake from 'pdfmake'
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { PaperDoc, PaperSection, PaperTable } from '../../core/formats'
import { FACES } from './faces'
import type { FontFiles } from './faces'

/** The garage's letterhead. */
export interface Letterhead {
  name: string
  town: string
  address: string
}
export type PaperSize = 'a4' | 'letter'

const INK = '#1b2326'
const QUIET = '#535b5f'
const RULE = '#cfc8ba'
const DANGER = '#a3162e'
const SHORT_ROWS = 9
let ready = false

/** Loads Eldrin's own type once, and shuts every other way out: nothing is fetched while a paper is made. */
function prepare(fonts: FontFiles): void {
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy(() => false)
  // Its types do not know of the files that it holds in memory.
  const { virtualfs } = pdfmake as unknown as { virtualfs: { writeFileSync: (name: string, content: Buffer) => void } }
  for (const face of Object.values(FACES)) virtualfs.writeFileSync(face, Buffer.from(fonts[face]!))
  pdfmake.addFonts({
    Hyperlegible: { normal: FACES.normal, bold: FACES.bold, italics: FACES.normal, bolditalics: FACES.bold },
  })
  ready = true
}

/**
 * A paper as PDF, with Eldrin's own fonts embedded.
 * @param fonts the files of `Object.values(FACES)`
 */
export async function paperPdf(
  paper: PaperDoc,
  letterhead: Letterhead,
  size: PaperSize,
  fonts: FontFiles,
): Promise<Buffer> {
  if (!ready) prepare(fonts)
  const definition: TDocumentDefinitions = {
    pageSize: size === 'letter' ? 'LETTER' : 'A4',
    pageMargins: [48, 44, 48, 52],
    info: {
      title: `${paper.title}, job ${paper.facts[0]![1]}`,
      author: letterhead.name,
      creator: 'Eldrin',
      producer: 'Eldrin',
    },
    defaultStyle: { font: 'Hyperlegible', fontSize: 10.5, color: INK, lineHeight: 1.18 },
    content: [
      {
        columns: [
          {
            text: [
              { text: letterhead.name, bold: true, fontSize: 13 },
              { text: `\n${[letterhead.address, letterhead.town].filter(Boolean).join(', ')}`, color: QUIET },
            ],
          },
          { text: `Job ${paper.facts[0]![1]}`, alignment: 'right', color: QUIET },
        ],
      },
      rule(2, [0, 4, 0, 10]),
      { text: paper.title, fontSize: 20, bold: true, margin: [0, 0, 0, 6] },
      {
        table: {
          widths: [86, '*'],
          body: paper.facts.slice(1).map(([name, value]): TableCell[] => [{ text: name, color: QUIET }, value]),
        },
        layout: 'noBorders',
        margin: [0, 0, 0, 4],
      },
      ...paper.sections
        .filter(section => (section.lines?.length ?? 0) + (section.table?.rows.length ?? 0) > 0)
        .flatMap(sectionContent),
    ],
    footer: (page, pages) => ({
      text: `${letterhead.name} · ${paper.title}, job ${paper.facts[0]![1]} · ${page} of ${pages}`,
      alignment: 'center',
      fontSize: 8.5,
      color: QUIET,
      margin: [0, 16, 0, 0],
    }),
  }
  return pdfmake.createPdf(definition).getBuffer()
}

const rule = (width: number, margin: [number, number, number, number]): Content => ({
  table: { widths: ['*'], body: [['']] },
  layout: {
    hLineWidth: (line: number) => (line === 0 ? width : 0),
    vLineWidth: () => 0,
    hLineColor: () => INK,
    paddingTop: () => 0,
    paddingBottom: () => 0,
  },
  margin,
})

const heading = (text: string, caution?: boolean): Content => ({
  text,
  bold: true,
  fontSize: 12.5,
  color: caution ? DANGER : INK,
  margin: [0, 10, 0, 2],
})

function sectionContent({ title, lines, table, caution }: PaperSection): Content[] {
  const body: Content[] = (lines ?? []).map(text => ({ text, margin: [0, 1, 0, 1] }))
  // A short table stays with its heading; a heading stays with its first line.
  const whole = table !== undefined && table.rows.length <= SHORT_ROWS
  if (whole) return [{ stack: [heading(title, caution), ...body, tableContent(table)], unbreakable: true }]
  const head: Content = { stack: [heading(title, caution), ...(body.length ? [body[0]!] : [])], unbreakable: true }
  return [head, ...body.slice(1), ...(table ? [tableContent(table)] : [])]
}

function tableContent({ head, rows, right, whole = [], sums = 0 }: PaperTable): Content {
  const cell = (text: string, column: number, bold = false): TableCell => ({
    text,
    bold,
    ...(right.includes(column) ? { alignment: 'right' } : {}),
    ...(right.includes(column) || whole.includes(column) ? { noWrap: true } : {}),
  })
  const named = head.some(Boolean)
  // One column takes the room that is left: the first that is not of figures.
  const wide = head.findIndex((_, column) => !right.includes(column))
  return {
    table: {
      headerRows: named ? 1 : 0,
      dontBreakRows: true,
      widths: head.map((_, column) =>
        column === wide
          ? '*'
          : right.includes(column)
            ? 'auto'
            : head.length > 2 && column === head.length - 1
              ? head.length > 3
                ? '36%'
                : '45%'
              : 'auto',
      ),
      body: [
        ...(named
          ? [
              head.map((text, column): TableCell =>
                Object.assign({}, cell(text, column), { color: QUIET, fontSize: 9.5 }),
              ),
            ]
          : []),
        ...rows.map((row, index) => row.map((text, column) => cell(text, column, index >= rows.length - sums))),
      ],
    },
    layout: {
      hLineWidth: line => (line === 0 ? 0 : 0.5),
      vLineWidth: () => 0,
      hLineColor: () => RULE,
      paddingLeft: column => (column === 0 ? 0 : 6),
      paddingRight: () => 6,
      paddingTop: () => 2.5,
      paddingBottom: () => 2.5,
    },
    margin: [0, 2, 0, 4],
  }
}
