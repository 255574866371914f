<script setup lang="ts">
import type { PackLine } from '../../../contracts/answers'

const lines = ref<PackLine[]>([])
</script>

<template>
  <LibraryRoom>
    <div class="grid gap-12">
      <PackList
        @loaded="
          loaded => {
            lines = loaded
          }
        "
      />
      <WrenchShelf />
      <KitShelf />
      <SchoolDefaults :lines="lines" />
    </div>
  </LibraryRoom>
</template>
