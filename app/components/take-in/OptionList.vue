<script setup lang="ts">
import type { Pack } from '../../../core/packs'
import type { Difference } from '../../../core/job'

/** How a job is done: the ways first, then what is renewed while it is open. */
const props = defineProps<{
  pack: Pack
  chosen: Record<string, string>
  differences: Record<string, Difference>
  pending?: boolean
}>()
const emit = defineEmits<{ choose: [optionId: string, choiceId: string] }>()
const t = useTerms()
const ways = computed(() => props.pack.options.filter(option => option.renews === undefined))
const parts = computed(() => props.pack.options.filter(option => option.renews !== undefined))
const renewed = computed(() =>
  parts.value.filter(option => (props.chosen[option.id] ?? option.default) !== option.default),
)
const nameOf = (id: string) => t(props.pack.bench.reachable.find(part => part.id === id)!.name)
</script>

<template>
  <div class="grid gap-4">
    <OptionSentence
      v-for="option in ways"
      :key="option.id"
      :option="option"
      :differences="differences"
      :pending="pending"
      :model-value="chosen[option.id] ?? option.default"
      @update:model-value="choice => emit('choose', option.id, choice)"
    />
    <details v-if="parts.length" class="border-t border-rule pt-2" data-testid="parts-renewed">
      <summary class="min-h-11 cursor-pointer py-2">
        <span class="label">Renewed while it is open</span>
        <span class="ml-3 text-quiet">{{
          renewed.length === 0
            ? `nothing besides yet; ${parts.length} parts come within reach`
            : renewed.map(option => nameOf(option.renews!)).join(', ')
        }}</span>
      </summary>
      <div class="ruled mt-2">
        <PartChoice
          v-for="option in parts"
          :key="option.id"
          :name="nameOf(option.renews!)"
          :option="option"
          :differences="differences"
          :model-value="chosen[option.id] ?? option.default"
          @update:model-value="choice => emit('choose', option.id, choice)"
        />
      </div>
    </details>
  </div>
</template>
