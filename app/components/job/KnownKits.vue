<script setup lang="ts">
import type { KitLine } from '../../../contracts/answers'
import type { Figure } from '../../../core/fasteners'

/** Kit sheets that earlier jobs named for these fasteners: taken over with a tap, its sheet looked at again. */
const props = defineProps<{ group: string; typed: boolean }>()
const emit = defineEmits<{ take: [figure: Figure] }>()
const units = useUnits()
const kits = shallowRef<KitLine[]>([])
onMounted(async () => {
  // Without signal the figure is typed; and what comes late moves no button from under a finger.
  const found = await $fetch<KitLine[]>('/api/kits', { query: { group: props.group } }).catch(() => [])
  if (!props.typed) kits.value = found
})
const shown = (nm: number) => {
  const { main } = units.torque(nm)
  return `${main.text} ${main.unit}`
}
</script>

<template>
  <div v-if="kits.length" data-testid="known-kits">
    <p class="label">From a kit sheet we had</p>
    <div class="mt-1 flex flex-wrap gap-2">
      <button
        v-for="kit in kits.slice(0, 4)"
        :key="kit.reference"
        type="button"
        class="button flex-col gap-0! items-start! text-left"
        @click="emit('take', kit.figure)"
      >
        <span
          ><span class="figure">{{ shown(kit.figure.torqueNm) }}</span> {{ kit.reference }}</span
        ><span class="text-sm font-normal text-quiet">job {{ kit.jobNumber }}; look at the sheet in the box again</span>
      </button>
    </div>
  </div>
</template>
