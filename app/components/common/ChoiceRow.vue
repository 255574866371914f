<script setup lang="ts" generic="T extends string">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

/** One of a few answers, each a target for a thumb. */
defineProps<{
  label: string
  hideLabel?: boolean
  /** Nothing goes on before it is answered. */ wanted?: boolean
  /** What is wrong with the answer, or that there is none. */ problem?: string
  /** A `group` stands over the first of its choices. */
  choices: { id: T; label: string; note?: string; disabled?: boolean; group?: string }[]
}>()
const model = defineModel<T | null>({ required: true })
</script>

<template>
  <RadioGroup
    :model-value="model ?? undefined"
    @update:model-value="
      value => {
        model = value as T
      }
    "
  >
    <RadioGroupLabel as="p" class="label" :class="hideLabel ? 'sr-only' : ''"
      >{{ label }}<span v-if="wanted" class="ml-2 font-normal text-attention">wanted</span></RadioGroupLabel
    >
    <div class="flex flex-wrap gap-2" :class="hideLabel ? '' : 'mt-2'">
      <template v-for="(choice, index) in choices" :key="choice.id">
        <p
          v-if="choice.group && choice.group !== choices[index - 1]?.group"
          class="-mb-1 basis-full text-sm text-quiet"
        >
          {{ choice.group }}
        </p>
        <RadioGroupOption v-slot="{ checked }" :value="choice.id" :disabled="choice.disabled" as="template">
          <button
            type="button"
            :disabled="choice.disabled"
            class="min-h-12 rounded-soft border-2 px-4 py-2 text-left"
            :class="
              checked
                ? 'border-action bg-tint font-semibold'
                : wanted
                  ? 'border-attention bg-sheet'
                  : choice.disabled
                    ? 'border-dashed border-line text-quiet'
                    : 'border-line bg-sheet'
            "
          >
            <span aria-hidden="true" class="figure mr-1">{{ checked ? '●' : '○' }}</span>{{ choice.label }}
            <span v-if="choice.note" class="figure ml-1 whitespace-nowrap text-sm text-quiet">{{ choice.note }}</span>
          </button>
        </RadioGroupOption>
      </template>
    </div>
    <p v-if="problem" class="mt-1 text-danger" role="alert">{{ problem }}</p>
  </RadioGroup>
</template>
