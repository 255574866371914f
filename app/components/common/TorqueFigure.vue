<script setup lang="ts">
/** A torque in both units; the reader's own one large enough to be set on a wrench. */
const props = defineProps<{ torqueNm: number; large?: boolean }>()
const units = useUnits()
const shown = computed(() => units.torque(props.torqueNm))
</script>

<template>
  <span class="figure inline-flex flex-wrap items-baseline gap-x-3">
    <span :class="large ? 'text-figure font-bold leading-none' : 'font-bold'"
      >{{ shown.main.text }}<span :class="large ? 'text-2xl' : ''">&nbsp;{{ shown.main.unit }}</span></span
    >
    <span class="text-quiet" :class="large ? 'text-xl' : 'text-sm'"
      >{{ shown.other.text }}&nbsp;{{ shown.other.unit }}</span
    >
  </span>
</template>
