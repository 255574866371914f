<script setup lang="ts">
import type { SheetVerdict } from '../../../core/bench'
import { levelWords } from '../../words/level-words'

/** What a sheet says: the worst first, each as a sentence with its figure. */
const props = defineProps<{ verdict: SheetVerdict }>()
/** Answers that found nothing stand together on one line. */
const quietly = computed(() =>
  props.verdict.findings.filter(finding => finding.judge === null && finding.level === 'good'),
)
const said = computed(() => props.verdict.findings.filter(finding => !quietly.value.includes(finding)))
const t = useTerms()
</script>

<template>
  <div data-testid="verdict" aria-live="polite">
    <p v-if="verdict.findings.length === 0" class="text-lg text-quiet">Nothing is entered yet.</p>
    <ul class="grid gap-3">
      <li
        v-for="(finding, index) in said"
        :key="index"
        class="border-l-4 pl-3"
        :class="levelWords[finding.level].border"
      >
        <p :class="index === 0 ? 'text-xl leading-snug' : ''">
          <span class="font-bold" :class="levelWords[finding.level].text"
            ><span aria-hidden="true" class="figure">{{ levelWords[finding.level].sign }}</span>
            {{ levelWords[finding.level].word }}.</span
          >
          {{ t(finding.sentence) }}
        </p>
      </li>
    </ul>
    <p v-if="quietly.length" class="mt-3 border-l-4 border-good pl-3">
      <span class="font-bold text-good"><span aria-hidden="true" class="figure">✓</span> Good.</span>
      {{ quietly.map(finding => t(finding.sentence).replace(/\.$/, '')).join('; ') }}.
    </p>
    <p v-if="verdict.wanted.length" class="mt-3 text-quiet">
      Still wanted for a verdict: {{ verdict.wanted.map(name => t(name).toLowerCase()).join(', ') }}.
    </p>
  </div>
</template>
