import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { markdownTable, replaceBetween } from '../../bin/markdown-table'

const page = fileURLToPath(new URL('../../docs/reliability.md', import.meta.url))

/** Prints a table of a drill, and puts it with its date in the place of the last one on the page of such proofs. */
export function keepTable(
  name: 'kill' | 'database' | 'offline' | 'standby' | 'restore' | 'rolling' | 'streams',
  head: string[],
  rows: (string | number)[][],
): void {
  const table = markdownTable(head, rows)
  console.log(table)
  writeFileSync(page, replaceBetween(readFileSync(page, 'utf8'), name, `${process.env.DRILL_DATE}\n\n${table}`))
}
