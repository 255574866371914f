<script setup lang="ts">
import type { Holding } from '../../../core/job'

/** What holds what is heavy once a step is done, where that changes. */
defineProps<{ holding: Holding[] }>()
</script>

<template>
  <div v-if="holding.length" data-testid="held-then">
    <span>Then </span>
    <ul class="inline">
      <li v-for="(load, index) in holding" :key="load.loadId" class="inline">
        <template v-if="index > 0"> · </template><HoldsLine :load="load" />
      </li>
    </ul>
  </div>
</template>
