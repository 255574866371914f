type Cell = string | number

/** A table in Markdown. */
export function markdownTable(head: Cell[], rows: Cell[][]): string {
  const line = (cells: Cell[]) => `| ${cells.join(' | ')} |`
  return [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n')
}

/**
 * A page with something else between the two marks of a name.
 * @throws where the page has no such place
 */
export function replaceBetween(page: string, name: string, content: string): string {
  const [open, close] = [`<!-- ${name} -->`, `<!-- /${name} -->`]
  const [from, to] = [page.indexOf(open), page.indexOf(close)]
  if (from < 0 || to < from) throw new Error(`the page has no place for ${name}`)
  return `${page.slice(0, from + open.length)}\n${content}\n${page.slice(to)}`
}
