<script setup lang="ts">
import { levelWords } from '../../words/level-words'

/** The subjects of the pedal: the run, and its sheets. */
const { bench, verdicts, path } = useBench()
const t = useTerms()
const sheets = computed(() => bench.value.sheets.filter(sheet => sheet.row === 'pedal'))
const links = computed(() => [
  { to: path('pedal'), name: 'Bleeding' },
  { to: path('pedal/advice'), name: 'Which way' },
  { to: path('pedal/learn'), name: 'Why a rest works' },
  ...sheets.value.map(sheet => {
    const { level } = verdicts.value.get(sheet.id)!
    return { to: path(`pedal/${sheet.id}`), name: t(sheet.title), ...(level ? { sign: levelWords[level].sign } : {}) }
  }),
])
</script>

<template>
  <SubNav v-if="sheets.length" label="Of the pedal" :links="links" />
</template>
