<script setup lang="ts">
import { bleedingStep } from '../../../../../core/job'

const { state } = useJob()
const bleeding = computed(() => bleedingStep(state.value))
</script>

<template>
  <HelperView v-if="bleeding" :operation="bleeding" />
  <NotHere v-else what="bleeding" />
</template>
