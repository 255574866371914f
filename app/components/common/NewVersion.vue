<script setup lang="ts">
import { fetchNewVersion, newVersionWaits, takeNewVersion } from '../../device/shell'
import { versionGap } from '../../device/version-gap'

/** A newer version of Eldrin is on the device and takes over when it is told to and no run is under way; or the server has one that this page does not understand. */
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
    <span v-if="newVersionWaits"
      >A newer Eldrin is here.<template v-if="versionGap === 'older'">
        The server understands only that one; what is done here is kept and goes to it then.</template
      ><template v-if="mustWait"> It waits until the run is over; nothing is broken off.</template></span
    >
    <span v-else-if="versionGap === 'older'"
      >The server has a newer Eldrin, and does not understand this page any more. What is done here is kept, and goes to
      it with the newer one.</span
    >
    <span v-else
      >The server has an older Eldrin than this page, and does not understand it yet. What is done here is kept, and
      goes to it when it is renewed.</span
    >
    <button v-if="newVersionWaits" class="button shrink-0" @click="take">Begin with it</button>
    <button v-else-if="versionGap === 'older'" class="button shrink-0" @click="fetchNewVersion">Fetch it</button>
  </p>
</template>
