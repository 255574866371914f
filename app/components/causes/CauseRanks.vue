<script setup lang="ts">
import type { CauseRank, CauseTables } from '../../../core/decisions'

/** Causes by how likely they are, each with what it was before anything was known. */
defineProps<{ table: CauseTables; ranks: CauseRank[]; before: Map<string, number>; most?: number }>()
const t = useTerms()
const inHundred = (share: number) => (share < 0.005 ? 'under 1' : String(Math.round(share * 100)))
</script>

<template>
  <div>
    <ol class="grid gap-2" data-testid="causes">
      <li v-for="(rank, index) in ranks.slice(0, most ?? 6)" :key="rank.cause">
        <p class="flex items-baseline justify-between gap-3" :class="index === 0 ? 'text-lg font-semibold' : ''">
          <span
            >{{ t(table.causes.find(cause => cause.id === rank.cause)!.title)
            }}<span
              v-if="!table.causes.find(cause => cause.id === rank.cause)!.boxOut"
              class="ml-2 text-sm font-normal text-quiet"
              >box stays in</span
            ></span
          >
          <span class="figure shrink-0">{{ inHundred(rank.probability) }}<span class="sr-only"> in 100</span></span>
        </p>
        <div class="relative mt-1 h-3 border border-line" aria-hidden="true">
          <div
            class="h-full"
            :class="index === 0 ? 'bg-ink' : 'bg-line'"
            :style="{ width: `${rank.probability * 100}%` }"
          />
          <div
            class="absolute inset-y-0 w-0.5 bg-attention"
            :style="{ left: `${(before.get(rank.cause) ?? 0) * 100}%` }"
          />
        </div>
      </li>
    </ol>
    <p class="mt-2 text-sm text-quiet">In 100. The thin mark is how often it is the one before anything is known.</p>
  </div>
</template>
