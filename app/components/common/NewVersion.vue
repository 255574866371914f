<script setup lang="ts">
import { takeNewVersion } from '../../device/shell'

/** A newer version of Eldrin is on the device: it says so, and takes over when it is told to and no run is under way. */
const mustWait = ref(false)
async function take() {
  mustWait.value = !(await takeNewVersion())
}
</script>

<template>
  <p
    class="no-print flex items-center justify-between gap-4 border-b-2 border-action bg-sheet px-4 py-2"
    role="status"
    data-testid="new-version"
  >
    <span
      >A newer Eldrin is here.<template v-if="mustWait">
        It waits until the run is over; nothing is broken off.</template
      ></span
    ><button class="button shrink-0" @click="take">Begin with it</button>
  </p>
</template>
