<script setup lang="ts">
/** What the chosen clutch asks of the hydraulics, as the bench worked it out. */
const { bench, verdicts, path } = useBench()
const t = useTerms()
const asked = computed(
  () =>
    bench.value.sheets.flatMap(sheet => {
      const finding = verdicts.value.get(sheet.id)!.findings.find(entry => entry.judge === 'release-demand')
      return finding ? [{ sheet, finding }] : []
    })[0] ?? null,
)
const offered = computed(
  () => bench.value.sheets.find(sheet => sheet.judges.some(judge => judge.kind === 'release-demand')) ?? null,
)
</script>

<template>
  <section v-if="offered">
    <h2 class="border-b border-ink pb-1 text-lg">What the clutch asks</h2>
    <p v-if="asked" class="mt-2">{{ t(asked.finding.sentence) }}</p>
    <p v-else class="mt-2 text-quiet">
      Enter its clamp load on the bench, and the force and way of the bearing stand here.
    </p>
    <NuxtLink
      no-prefetch
      class="mt-1 inline-flex min-h-11 items-center font-semibold underline"
      :to="path(`bench/${offered.id}`)"
      >{{ t(offered.title) }}</NuxtLink
    >
  </section>
</template>
