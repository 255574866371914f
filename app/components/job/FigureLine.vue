<script setup lang="ts">
import type { FastenerGroup } from '../../../core/packs'
import { sourceLabel } from '../../lib/sources'

/** The figure of a group with its source; or that there is none, and the way to name one. */
const props = defineProps<{ group: FastenerGroup, large?: boolean }>()
const { state } = useJob()
const t = useTerms()
const naming = ref(false)
const figures = computed(() => state.value.figures[props.group.id] ?? [])
const current = computed(() => figures.value.at(-1))
</script>

<template>
  <div class="border-l-4 pl-4" :class="current ? 'border-action' : 'border-attention'">
    <template v-if="current">
      <TorqueFigure :torque-nm="current.torqueNm" :large="large" />
      <p class="mt-1">{{ sourceLabel(current.sourceKind) }}: {{ current.reference }}</p>
      <p v-if="figures.length > 1 && figures.at(-2)!.torqueNm !== current.torqueNm" class="text-attention">
        Named differently before: <TorqueFigure :torque-nm="figures.at(-2)!.torqueNm" />, {{ sourceLabel(figures.at(-2)!.sourceKind) }}: {{ figures.at(-2)!.reference }}
      </p>
    </template>
    <p v-else class="text-lg">No figure is named for the {{ t(group.name).toLowerCase() }}. Eldrin does not guess one.</p>
    <button class="mt-1 min-h-11 font-semibold underline" @click="naming = true">{{ current ? 'Name another figure' : 'Name it with its source' }}</button>
    <BaseDialog :open="naming" :title="`Figure for the ${t(group.name).toLowerCase()}`" @close="naming = false">
      <FigureForm :group="group" @named="naming = false" />
    </BaseDialog>
  </div>
</template>
