<script setup lang="ts">
/** What is done goes on being kept; only sending waits for somebody. */
const route = useRoute()
</script>

<template>
  <p
    class="no-print flex flex-wrap items-center justify-between gap-x-4 gap-y-2 border-b-2 border-attention bg-attention-tint px-4 py-2"
    role="status"
  >
    <span>This device is not signed in. What you do is kept here, and sent once somebody signs in.</span>
    <NuxtLink class="button shrink-0" :to="{ path: '/sign-in', query: { to: route.fullPath } }">Sign in</NuxtLink>
  </p>
</template>
