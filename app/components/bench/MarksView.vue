<script setup lang="ts">
/** Which way round each part was, and the old parts that stay until the car has driven. */
const { store, state, bench } = useBench()
const t = useTerms()
const marginOpen = ref(false)
const off = (steps: string[]) => steps.some(step => state.value.done[step])
const kept = computed(() =>
  bench.value.oldParts.map(part => ({
    part,
    gone: state.value.oldPartsGone[part.id] ?? null,
    here: off(part.off),
    may: part.until.every(step => state.value.done[step]),
  })),
)
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin v-model:open="marginOpen" margin-title="Why">
    <slot />
    <h1 class="mt-3 text-2xl">Which way round</h1>
    <p v-if="bench.orientations.length === 0" class="mt-2 text-quiet">On this job nothing can go in the wrong way.</p>
    <ul class="ruled mt-2">
      <OrientationLine v-for="entry in bench.orientations" :key="entry.id" :entry="entry" />
    </ul>
    <h2 class="mt-7 text-2xl">Old parts on the shelf</h2>
    <ul class="ruled mt-2">
      <li
        v-for="{ part, gone, here, may } in kept"
        :key="part.id"
        class="flex flex-wrap items-center gap-x-4 gap-y-2 py-3"
        :data-testid="`old-${part.id}`"
      >
        <span class="min-w-0 flex-1 basis-44"
          ><span class="text-lg font-semibold">{{ t(part.name) }}</span
          ><span class="block text-quiet">{{ t(part.because) }}</span></span
        >
        <span v-if="gone" class="text-quiet">Gone: {{ gone.where }}</span>
        <span v-else-if="!here" class="text-quiet">still on the car</span>
        <template v-else>
          <span class="tag">{{ may ? 'may go' : 'kept until it has driven' }}</span>
          <span class="flex gap-2"
            ><button class="button" @click="store.write('old-part-gone', { partId: part.id, where: 'thrown away' })">
              Throw it away<span class="sr-only">: {{ t(part.name) }}</span>
            </button>
            <button
              class="button"
              @click="store.write('old-part-gone', { partId: part.id, where: 'given to the customer' })"
            >
              To the customer<span class="sr-only">: {{ t(part.name) }}</span>
            </button></span
          >
        </template>
      </li>
    </ul>
    <template #margin>
      <h2 class="border-b border-ink pb-1 text-lg">Why</h2>
      <div class="mt-2 grid gap-3">
        <p>
          A part that goes in either way says nothing when it is wrong. What is noted as it comes off is asked again at
          the step that puts it back, and that step is not done until it is confirmed.
        </p>
        <p>
          Old parts settle a doubt about the new ones. They stay until the car has been driven; an attempt to throw one
          away before is refused with its reason.
        </p>
      </div>
    </template>
  </SheetWithMargin>
</template>
