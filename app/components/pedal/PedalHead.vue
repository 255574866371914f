<script setup lang="ts">
/** The subjects of the pedal: the run, and its sheets. */
const { bench, verdicts, path } = useBench()
const t = useTerms()
const route = useRoute()
const here = computed(() => String(route.query.sheet ?? route.query.at ?? ''))
const sheets = computed(() => bench.value.sheets.filter(sheet => sheet.row === 'pedal'))
const views = [{ at: 'advice', name: 'Which way' }, { at: 'learn', name: 'Why a rest works' }]
const signs = { good: '✓', watch: '!', renew: '✕' } as const
</script>

<template>
  <ul v-if="sheets.length" class="mb-3 flex gap-1.5 max-lg:clear-both max-sm:overflow-x-auto max-sm:pb-2 max-sm:whitespace-nowrap sm:flex-wrap sm:gap-2">
    <li><NuxtLink class="button max-sm:px-2.5!" :class="here === '' ? 'border-action! bg-tint!' : ''" :aria-current="here === '' ? 'page' : undefined" :to="path('pedal')">Bleeding</NuxtLink></li>
    <li v-for="view in views" :key="view.at"><NuxtLink class="button max-sm:px-2.5!" :class="here === view.at ? 'border-action! bg-tint!' : ''" :aria-current="here === view.at ? 'page' : undefined" :to="{ path: path('pedal'), query: { at: view.at } }">{{ view.name }}</NuxtLink></li>
    <li v-for="sheet in sheets" :key="sheet.id">
      <NuxtLink class="button max-sm:px-3!" :class="here === sheet.id ? 'border-action! bg-tint!' : ''" :aria-current="here === sheet.id ? 'page' : undefined" :to="{ path: path('pedal'), query: { sheet: sheet.id } }">
        <span v-if="verdicts.get(sheet.id)!.level" class="figure" aria-hidden="true">{{ signs[verdicts.get(sheet.id)!.level!] }}</span>{{ t(sheet.title) }}
      </NuxtLink>
    </li>
  </ul>
</template>
