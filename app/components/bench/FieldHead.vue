<script setup lang="ts">
import type { SheetField } from '../../../core/packs'

/** What is asked, in what unit, and how it is measured. */
defineProps<{ field: SheetField; unit?: string; fieldId?: string }>()
const t = useTerms()
</script>

<template>
  <component :is="fieldId ? 'label' : 'p'" :for="fieldId" class="label block"
    >{{ t(field.name) }}<span v-if="unit" class="figure font-normal text-quiet">, {{ unit }}</span></component
  >
</template>
