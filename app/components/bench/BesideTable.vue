<script setup lang="ts">
import type { WeighedCandidate } from '../../../core/bench'
import type { Sheet } from '../../../core/packs'
import { sheetOfOne } from '../../../core/bench'

/** The figures of each, row by row, drawn against the largest of their row. */
const props = defineProps<{ sheet: Sheet; ranked: WeighedCandidate[] }>()
const { state } = useJob()
const t = useTerms()
const units = useUnits()
const kinds = computed(() => [
  ...sheetOfOne(props.sheet).judges.map(judge => judge.kind),
  ...(
    state.value.procedure!.bench.sheets.find(other => other.id === props.sheet.beside!.also?.sheet)?.judges ?? []
  ).map(judge => judge.kind),
])
/** On a phone the name of a row stands over its figures. */
const columns = computed(() => ({ gridTemplateColumns: `repeat(${props.ranked.length}, minmax(0, 1fr))` }))
const rows = computed(() =>
  [...new Set(kinds.value)].flatMap(kind => {
    const figures = props.ranked.map(one => one.verdict.findings.find(finding => finding.judge === kind)?.figures ?? [])
    const names = [...new Set(figures.flat().map(figure => figure.name))]
    return names.map(name => {
      const each = figures.map(list => list.find(figure => figure.name === name) ?? null)
      const most = Math.max(...each.map(figure => Math.abs(figure?.value ?? 0)))
      return {
        name,
        cells: each.map(figure => ({ figure, share: most > 0 && figure ? Math.abs(figure.value) / most : 0 })),
      }
    })
  }),
)
</script>

<template>
  <div v-if="rows.length" class="sm:overflow-x-auto" tabindex="0" role="region" aria-label="Figures side by side">
    <table class="w-full table-fixed border-collapse max-sm:block" role="table">
      <thead class="max-sm:sticky max-sm:top-0 max-sm:z-10 max-sm:block max-sm:bg-paper" role="rowgroup">
        <tr class="border-b-2 border-ink align-bottom max-sm:grid" :style="columns" role="row">
          <td class="w-[28%] pb-1 max-sm:hidden" role="cell" />
          <th v-for="one in ranked" :key="one.id" scope="col" class="py-1 pr-3 text-left" role="columnheader">
            {{ one.name }}
          </th>
        </tr>
      </thead>
      <tbody class="max-sm:block" role="rowgroup">
        <tr
          v-for="row in rows"
          :key="row.name"
          class="border-b border-rule align-top max-sm:grid"
          :style="columns"
          role="row"
        >
          <th
            scope="row"
            class="py-1.5 pr-3 text-left font-normal first-letter:uppercase max-sm:col-span-full max-sm:pb-0 max-sm:text-quiet"
            role="rowheader"
          >
            {{ t(row.name) }}
          </th>
          <td v-for="(cell, index) in row.cells" :key="ranked[index]!.id" class="py-1.5 pr-3" role="cell">
            <template v-if="cell.figure"
              ><span class="figure whitespace-nowrap">{{
                units.measure(cell.figure.value, cell.figure.unit, cell.figure.digits)
              }}</span
              ><span
                class="mt-1 block h-1 bg-action"
                aria-hidden="true"
                :style="{ width: `${Math.max(3, cell.share * 100)}%` }"
            /></template>
            <span v-else class="sr-only">not worked out</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
