type Cell = string | number

/** A table in Markdown. */
export function markdownTable(head: Cell[], rows: Cell[][]): string {
  const line = (cells: Cell[]) => `| ${cells.join(' | ')} |`
  return [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n')
}

/** The rows of such a table, its head left out; none where there is no table. */
export function rowsOf(table: string): string[][] {
  const lines = table.split('\n').filter(line => line.startsWith('|'))
  return lines.slice(2).map(line => line.slice(2, -2).split(' | '))
}

function marks(page: string, name: string): [number, number] {
  const open = `<!-- ${name} -->`
  const [from, to] = [page.indexOf(open), page.indexOf(`<!-- /${name} -->`)]
  if (from < 0 || to < from) throw new Error(`the page has no place for ${name}`)
  return [from + open.length, to]
}

/** What stands between the two marks of a name. @throws where the page has no such place */
export function between(page: string, name: string): string {
  return page.slice(...marks(page, name)).trim()
}

/** A page with something else between the two marks of a name. @throws where the page has no such place */
export function replaceBetween(page: string, name: string, content: string): string {
  const [from, to] = marks(page, name)
  return `${page.slice(0, from)}\n${content}\n${page.slice(to)}`
}
