<script setup lang="ts">
import type { FastenerGroup } from '../../../core/packs'

/** A figure of a group is named in here. */
defineProps<{ group: FastenerGroup; open: boolean }>()
defineEmits<{ close: [] }>()
const t = useTerms()
</script>

<template>
  <BaseDialog :open="open" :title="`Figure for the ${t(group.name).toLowerCase()}`" @close="$emit('close')">
    <FigureForm v-if="open" :group="group" @named="$emit('close')" />
  </BaseDialog>
</template>
