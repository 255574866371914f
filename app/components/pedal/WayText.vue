<script setup lang="ts">
import type { BleedWay } from '../../../core/packs'

/** A school of bleeding in words: before, each round, the end of it, what goes wrong. */
defineProps<{ way: BleedWay }>()
</script>

<template>
  <section class="grid gap-3">
    <h2 class="border-b border-ink pb-1 text-lg">{{ way.title }}</h2>
    <div>
      <p class="label">Before</p>
      <ul class="list-disc pl-5">
        <li v-for="line in way.ready" :key="line">{{ line }}</li>
      </ul>
    </div>
    <div>
      <p class="label">Each round</p>
      <ol class="list-decimal pl-5">
        <li v-for="line in way.round" :key="line">{{ line }}</li>
      </ol>
    </div>
    <p><span class="label">Over when:</span> {{ way.over }}</p>
    <p class="border-l-4 border-attention pl-3"><span class="label">Goes wrong:</span> {{ way.wrong }}</p>
    <p class="text-sm text-quiet">Common practice, from memory. The maker’s way and kind of fluid go before it.</p>
  </section>
</template>
