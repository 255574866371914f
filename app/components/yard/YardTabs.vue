<script setup lang="ts">
/** The yard as it stands, or the days ahead. */
const links = [
  { to: '/', name: 'Now' },
  { to: '/week', name: 'Days ahead' },
]
</script>

<template>
  <SubNav label="Of the Yard" :links="links" wrap />
</template>
