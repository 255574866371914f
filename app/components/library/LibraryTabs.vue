<script setup lang="ts">
/** The rooms of the Library. */
const links = [
  { to: '/library', name: 'Layouts and tools' },
  { to: '/library/cars', name: 'Cars and history' },
  { to: '/library/learned', name: 'What we learned' },
  { to: '/library/garage', name: 'The garage' },
]
</script>

<template>
  <SubNav label="Rooms of the Library" :links="links" />
</template>
