<script setup lang="ts">
/** The bar at the foot of a view: one main act, two more under either thumb. Above the view words on a phone. */
</script>

<template>
  <div class="no-print fixed inset-x-0 bottom-14 z-20 border-t-2 border-ink bg-paper sm:bottom-0 lg:right-1/3">
    <div class="mx-auto grid max-w-4xl grid-cols-[minmax(5rem,1fr)_minmax(0,2.4fr)_minmax(5rem,1fr)] gap-2 p-2">
      <slot />
    </div>
  </div>
</template>
