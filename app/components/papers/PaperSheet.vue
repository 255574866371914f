<script setup lang="ts">
import type { PaperDoc, PaperTable } from '../../../core/formats'

/** A paper as a page that prints. */
const { paper } = defineProps<{ paper: PaperDoc; letterhead: { name: string; town: string } | null | undefined }>()
const shown = computed(() =>
  paper.sections.filter(section => (section.lines?.length ?? 0) + (section.table?.rows.length ?? 0) > 0),
)
function cellClass({ right, whole }: PaperTable, column: number): string {
  if (right.includes(column)) return 'figure whitespace-nowrap text-right'
  return whole?.includes(column) ? 'sm:whitespace-nowrap print:whitespace-nowrap' : ''
}
</script>

<template>
  <header class="flex flex-wrap items-baseline justify-between gap-x-6 border-b-4 border-ink pb-2">
    <div>
      <p class="text-xl font-bold">{{ letterhead?.name }}</p>
      <p class="text-quiet">{{ letterhead?.town }}</p>
    </div>
    <p class="figure">Job {{ paper.facts[0]![1] }}</p>
  </header>
  <h1 class="mt-5 text-2xl">{{ paper.title }}</h1>
  <dl class="mt-3 grid grid-cols-[8rem_1fr] gap-y-1">
    <template v-for="[name, value] in paper.facts.slice(1)" :key="name">
      <dt class="text-quiet">{{ name }}</dt>
      <dd>{{ value }}</dd>
    </template>
  </dl>
  <section v-for="section in shown" :key="section.title" class="mt-6 break-inside-auto">
    <h2 class="border-b-2 border-ink pb-1 text-lg break-after-avoid" :class="section.caution ? 'text-danger' : ''">
      {{ section.title }}
    </h2>
    <p v-for="line in section.lines" :key="line" class="mt-1">{{ line }}</p>
    <table v-if="section.table?.rows.length" class="mt-1 w-full text-left">
      <thead :class="section.table.head.some(Boolean) ? 'text-sm text-quiet' : 'sr-only'">
        <tr>
          <th
            v-for="(name, column) in section.table.head"
            :key="column"
            scope="col"
            class="pr-3 font-normal"
            :class="section.table.right.includes(column) ? 'text-right' : ''"
          >
            {{ name || 'What' }}
          </th>
        </tr>
      </thead>
      <tbody class="ruled">
        <tr
          v-for="(row, index) in section.table.rows"
          :key="index"
          class="break-inside-avoid align-top"
          :class="index >= section.table.rows.length - (section.table.sums ?? 0) ? 'font-bold' : ''"
        >
          <td v-for="(text, column) in row" :key="column" class="py-1 pr-3" :class="cellClass(section.table, column)">
            {{ text }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
