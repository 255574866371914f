<script setup lang="ts">
import type { SheetVerdict } from '../../../core/bench'
import type { Sheet } from '../../../core/packs'

/** The computation written out, what happens if it is ignored, and both schools where the trade disagrees. */
const props = defineProps<{ sheet: Sheet; verdict: SheetVerdict }>()
const t = useTerms()
const { state } = useJob()
const worked = computed(() => props.verdict.findings.filter(finding => finding.working.length > 0))
const names = computed(
  () =>
    new Map([
      ...state.value.procedure!.parts.map(part => [part.id, part.name] as const),
      ...state.value.procedure!.bench.reachable.map(entry => [entry.part, entry.name] as const),
    ]),
)
const ignored = computed(() =>
  props.verdict.findings.filter(finding => finding.ignored !== null && finding.level !== 'good'),
)
</script>

<template>
  <div class="grid gap-5">
    <section v-if="ignored.length">
      <h2 class="border-b border-ink pb-1 text-lg">If it is ignored</h2>
      <ul class="mt-2 grid gap-2">
        <li v-for="(finding, index) in ignored" :key="index" class="border-l-4 border-attention pl-3">
          {{ t(finding.ignored!) }}
        </li>
      </ul>
    </section>
    <section v-if="verdict.renews.length">
      <h2 class="border-b border-ink pb-1 text-lg">To be renewed</h2>
      <p class="mt-2">
        {{ verdict.renews.map(part => t(names.get(part) ?? part)).join(', ') }}. They stand as a must on “While it is
        open”.
      </p>
    </section>
    <section>
      <h2 class="border-b border-ink pb-1 text-lg">How it is worked out</h2>
      <ul v-if="worked.length" class="mt-2 grid gap-3">
        <li v-for="(finding, index) in worked" :key="index">
          <p v-for="line in finding.working" :key="line" class="text-quiet">{{ t(line) }}</p>
        </li>
      </ul>
      <p v-else class="mt-2 text-quiet">
        The lines of the computation appear here as soon as there is something to compute with.
      </p>
    </section>
    <section v-if="sheet.schools.length">
      <h2 class="border-b border-ink pb-1 text-lg">Two schools</h2>
      <dl class="mt-2 grid gap-2">
        <div v-for="school in sheet.schools" :key="school.id">
          <dt class="font-semibold">{{ t(school.label) }}</dt>
          <dd>{{ t(school.because) }}</dd>
        </div>
      </dl>
    </section>
    <p class="text-quiet">
      Limits come from the vehicle book and the kit sheet. What stands here as common practice is a rule of thumb and
      nobody’s specification.
    </p>
  </div>
</template>
