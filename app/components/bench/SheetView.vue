<script setup lang="ts">
import { drawable } from '../../../core/bench'
import type { SheetValues } from '../../../core/bench'
import type { Sheet } from '../../../core/packs'
import { sheetPath } from '../../links/sheet-path'

/** One subject: drawing left, verdict beside it, readings under them, the computation in the margin. */
const props = defineProps<{ sheet: Sheet }>()
const { store, state, verdicts, path } = useBench()
const t = useTerms()
const marginOpen = ref(false)
const values = computed(() => state.value.sheets[props.sheet.id]?.values ?? {})
const drawn = computed(() => drawable(props.sheet, values.value))
const ahead = computed(() => store.ahead.sheets[props.sheet.id]?.values ?? {})
function read(entered: SheetValues, cleared: string[]) {
  store.write('sheet-read', { sheetId: props.sheet.id, values: entered, cleared })
}
const verdict = computed(() => verdicts.value.get(props.sheet.id)!)
/** The step that is done here and is still open. */
const step = computed(
  () =>
    state.value.procedure!.operations.find(
      operation => props.sheet.steps.includes(operation.id) && !state.value.done[operation.id],
    ) ?? null,
)
const offersWays = computed(
  () => props.sheet.ways !== undefined && props.sheet.ways.option in state.value.procedure!.options,
)
const wayWords = computed(() =>
  (props.sheet.ways?.choices ?? [])
    .slice(0, 3)
    .map((way, index) => (index ? t(way.label).toLowerCase() : t(way.label)))
    .join(', '),
)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="How it is worked out">
    <slot />
    <h1 class="mt-3 text-2xl">{{ t(sheet.title) }}</h1>
    <div class="mt-3 grid items-start gap-x-7 gap-y-4 md:grid-cols-[minmax(13rem,17rem)_minmax(0,1fr)]">
      <div>
        <SheetDrawing :sheet="sheet" :values="drawn" class="max-md:mx-auto max-md:max-w-72" />
        <section v-if="sheet.look.length" class="mt-2 text-sm text-quiet">
          <h2 class="label text-ink">Look at</h2>
          <ul class="mt-1 list-disc pl-5">
            <li v-for="line in sheet.look" :key="line">{{ t(line) }}</li>
          </ul>
        </section>
      </div>
      <div>
        <VerdictLines :verdict="verdict" />
        <p v-if="offersWays && verdict.level && verdict.level !== 'good'" class="mt-4">
          <NuxtLink class="button button-main" :to="path(`bench/${sheet.id}/ways`)">{{ wayWords }}</NuxtLink>
        </p>
      </div>
    </div>
    <p v-if="sheet.beside" class="mt-4 flex flex-wrap items-baseline gap-x-4 gap-y-2">
      <NuxtLink class="button" :to="`${path(sheetPath(sheet))}/beside`">{{ t(sheet.beside.title) }}</NuxtLink>
      <span v-if="state.chosenCandidates[sheet.id]" class="text-quiet"
        >Chosen: {{ state.chosenCandidates[sheet.id]!.name }}</span
      >
    </p>
    <SheetForm class="mt-5 border-t border-rule pt-4" :sheet="sheet" :values="values" :ahead="ahead" @read="read" />
    <p v-if="step" class="mt-6 border-t border-rule pt-3 text-quiet">
      It belongs to the step “{{ t(step.title) }}”. What is entered here counts there.
      <NuxtLink no-prefetch class="font-semibold underline" :to="path('work')">To Work</NuxtLink>
    </p>
    <template #margin><WorkingMargin :sheet="sheet" :verdict="verdict" /></template>
  </SheetWithMargin>
</template>
