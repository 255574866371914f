<script setup lang="ts">
import type { Holding } from '../../../core/job'

/** What holds something heavy, on a line; what hangs stands out. */
defineProps<{ load: Holding }>()
const t = useTerms()
</script>

<template>
  <span v-if="load.hangs" class="font-semibold text-danger">{{
    load.byHand ? `${t(load.name)} is in a hand: tie it up, or go on at once.` : t(load.hangs)
  }}</span>
  <span v-else
    ><span class="label">{{ t(load.name) }}</span
    >: {{ load.isOut ? 'lies outside' : `held by ${t(load.by.join('; and by '))}` }}</span
  >
</template>
