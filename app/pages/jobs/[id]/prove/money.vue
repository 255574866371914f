<script setup lang="ts">
definePageMeta({ wants: 'see-money' })
</script>

<template>
  <AgainstEstimate />
</template>
