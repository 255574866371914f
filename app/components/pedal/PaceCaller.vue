<script setup lang="ts">
/** The spoken count of two people: the word that is due, large, and how long it lasts. */
const props = defineProps<{ stepId: string; large?: boolean }>()
const t = useTerms()
const { pace, own, moment, leadSeconds, speech, start, stop, way } = usePace(toRef(props, 'stepId'))
const who = { pedal: 'at the pedal', bleeder: 'at the bleeder' } as const
defineExpose({ stop })
</script>

<template>
  <div v-if="way" data-testid="pace">
    <template v-if="pace">
      <p v-if="leadSeconds > 0" class="figure font-bold leading-none" :class="large ? 'text-[7rem]' : 'text-[4.5rem]'">
        {{ leadSeconds }}
      </p>
      <template v-else-if="moment">
        <p
          class="font-bold leading-none"
          :class="large ? 'text-[5.5rem]' : 'text-[3.75rem]'"
          data-testid="call"
          aria-live="assertive"
        >
          {{ moment.call.say }}
        </p>
        <p class="mt-2 text-xl">{{ who[moment.call.by] }} · {{ t(moment.call.about) }}</p>
        <div class="mx-auto mt-4 h-5 max-w-md border-2 border-ink" aria-hidden="true">
          <div class="h-full bg-action" :style="{ width: `${moment.share * 100}%` }" />
        </div>
        <p class="mt-3 text-lg text-quiet">then {{ moment.next.say.toLowerCase() }}, {{ who[moment.next.by] }}</p>
      </template>
    </template>
    <ol v-else class="mx-auto grid max-w-xl gap-1 text-left text-lg">
      <li v-for="call in way.calls" :key="call.say" class="flex gap-3">
        <span class="label w-24 shrink-0">{{ call.say }}</span><span class="min-w-0 grow">{{ t(call.about) }}</span
        ><span class="figure shrink-0 text-quiet">{{ call.seconds }} s</span>
      </li>
    </ol>
    <div class="mt-4 flex flex-wrap items-center justify-center gap-2">
      <p v-if="!pace && large" class="text-lg">It begins when it is called at the bleeder.</p>
      <button v-else-if="!pace" class="button" @click="start">Call the beat</button>
      <button v-else class="button" @click="stop">Stop the beat</button>
      <label v-if="speech.isSupported.value" class="flex min-h-12 items-center gap-2 px-2"
        ><input v-model="speech.on.value" type="checkbox" class="size-5 min-h-0 w-auto" />say it aloud here</label
      >
    </div>
    <p v-if="pace && !own" class="mt-2 text-quiet">The other device counts the strokes.</p>
  </div>
</template>
