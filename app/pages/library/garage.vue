<script setup lang="ts">
const garage = useGarageStore()
</script>

<template>
  <LibraryRoom>
    <div class="grid gap-12">
      <GarageSelf v-if="garage.can('settle')" />
      <GaragePeople />
      <DeviceList />
      <OwnSecrets />
      <template v-if="garage.can('settle')">
        <GarageHours />
        <GarageMoney />
      </template>
    </div>
  </LibraryRoom>
</template>
