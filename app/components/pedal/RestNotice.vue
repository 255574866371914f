<script setup lang="ts">
/** Asks once whether the system may tell when a rest is over. */
const permission = ref('Notification' in globalThis ? Notification.permission : 'none')
async function ask() {
  permission.value = await Notification.requestPermission()
}
</script>

<template>
  <p class="mt-3">
    <button v-if="permission === 'default'" class="button" @click="ask">Tell me when it is over</button>
    <template v-else-if="permission === 'granted'"
      >This device tells you when it is over, while Eldrin is open on it.</template
    >
    <template v-else>This device tells it on the page only: its notices are switched off.</template>
  </p>
</template>
