<script setup lang="ts">
import { levelWords } from '../../words/level-words'

/** What is worked, and its sheets. */
const { state, bench, verdicts, path } = useBench()
const t = useTerms()
const sheets = computed(() => bench.value.sheets.filter(sheet => sheet.row === 'control'))
const links = computed(() => [
  { to: path('control'), name: t(state.value.procedure?.control?.name ?? '') },
  ...sheets.value.map(sheet => {
    const { level } = verdicts.value.get(sheet.id)!
    return { to: path(`control/${sheet.id}`), name: t(sheet.title), ...(level ? { sign: levelWords[level].sign } : {}) }
  }),
])
</script>

<template>
  <SubNav v-if="sheets.length" label="Of what is worked" :links="links" />
</template>
