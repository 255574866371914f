<template>
  <LibraryRoom>
    <div class="grid gap-12">
      <GarageSelf />
      <GaragePeople />
      <GarageHours />
      <GarageMoney />
    </div>
  </LibraryRoom>
</template>
