import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const page = fileURLToPath(new URL('../../docs/reliability.md', import.meta.url))

/** Prints a table of a drill, and puts it with its date in the place of the last one on the page of such proofs. */
export function keepTable(
  name: 'kill' | 'database' | 'offline' | 'standby' | 'restore' | 'rolling' | 'streams',
  head: string[],
  rows: (string | number)[][],
): void {
  const line = (cells: (string | number)[]) => `| ${cells.join(' | ')} |`
  const table = [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n')
  console.log(table)
  const [open, close] = [`<!-- ${name} -->`, `<!-- /${name} -->`]
  const text = readFileSync(page, 'utf8')
  const [from, to] = [text.indexOf(open), text.indexOf(close)]
  if (from < 0 || to < from) throw new Error(`docs/reliability.md has no place for ${name}`)
  writeFileSync(
    page,
    `${text.slice(0, from + open.length)}\n${new Date().toISOString().slice(0, 10)}\n\n${table}\n${text.slice(to)}`,
  )
}
