<script setup lang="ts">
import type { CauseTables, Findings, TestWorth } from '../../../core/decisions'

/** Tests that can be done before anything is dismantled: the one that tells most for its minutes first. */
const props = defineProps<{
  table: CauseTables
  worth: TestWorth[]
  findings: Findings
  /** Tests whose outcome is asked elsewhere. */ elsewhere: string[]
}>()
const emit = defineEmits<{ found: [test: string, outcome: string | null] }>()
const t = useTerms()
const all = ref(false)
const open = computed(() => props.worth.filter(entry => !props.elsewhere.includes(entry.test)))
const testOf = (id: string) => props.table.tests.find(test => test.id === id)!
const titleOf = (cause: string) => t(props.table.causes.find(entry => entry.id === cause)!.title)
const done = computed(() =>
  props.table.tests.filter(
    test => test.how !== undefined && props.findings[test.id] !== undefined && !props.elsewhere.includes(test.id),
  ),
)
</script>

<template>
  <div>
    <ul v-if="done.length" class="ruled mb-4">
      <li v-for="test in done" :key="test.id" class="flex flex-wrap items-center justify-between gap-3 py-2">
        <span
          >{{ t(test.title) }}:
          <span class="font-semibold">{{
            t(test.outcomes.find(outcome => outcome.id === findings[test.id])!.label)
          }}</span></span
        >
        <button type="button" class="button" @click="emit('found', test.id, null)">Take back</button>
      </li>
    </ul>
    <ol class="ruled">
      <li
        v-for="(entry, index) in all ? open : open.slice(0, 2)"
        :key="entry.test"
        class="py-3"
        :data-testid="index === 0 ? 'next-test' : undefined"
      >
        <p class="text-lg">
          <span class="font-semibold">{{ t(testOf(entry.test).title) }}</span>
          <span class="figure ml-2 text-base text-quiet">{{ entry.minutes }} min</span
          ><span v-if="index === 0" class="ml-2 text-base text-good">✓ tells most for its minutes</span>
        </p>
        <p>{{ t(testOf(entry.test).how!) }}</p>
        <p v-if="testOf(entry.test).hurts" class="border-l-4 border-attention pl-3">
          {{ t(testOf(entry.test).hurts!) }}
        </p>
        <div class="mt-2 flex flex-wrap gap-2" role="group" :aria-label="t(testOf(entry.test).title)">
          <button
            v-for="outcome in entry.outcomes"
            :key="outcome.outcome"
            type="button"
            class="button flex-col gap-0!"
            @click="emit('found', entry.test, outcome.outcome)"
          >
            <span>{{ t(testOf(entry.test).outcomes.find(each => each.id === outcome.outcome)!.label) }}</span><span
              class="text-sm font-normal text-quiet"
              >then {{ titleOf(outcome.leads) }}</span
            >
          </button>
        </div>
      </li>
    </ol>
    <button v-if="open.length > 2" type="button" class="mt-1 min-h-11 font-semibold underline" @click="all = !all">
      {{ all ? 'Only the best two' : `All ${open.length} tests` }}
    </button>
  </div>
</template>
