<template>
  <section class="grid gap-3">
    <h2 class="text-lg max-lg:hidden">Where figures come from</h2>
    <p>Every figure stands with its source. For parts of the kit, the kit sheet goes before the vehicle book.</p>
    <p>Another fastener’s figure is not this one’s. A bolt sheared in a flywheel is how most people learn that.</p>
    <p>Tight too early, or turning on without getting tighter: stop. Feel is a measurement.</p>
    <p class="text-sm text-quiet">
      The vehicle maker’s instructions and the kit sheet go before anything written here.
    </p>
  </section>
</template>
