<script setup lang="ts">
import type { KitLine } from '../../../contracts/answers'
import { issuesOf } from '../../words/reason-of'

/** Kit sheets as jobs named them, with their figures. */
const t = useTerms()
const kits = shallowRef<KitLine[] | null>(null)
const problem = ref('')
const units = useUnits()
async function load() {
  problem.value = ''
  try {
    kits.value = await $fetch<KitLine[]>('/api/kits')
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
const sheets = computed(() => [...grouped(kits.value ?? [])])
function grouped(lines: KitLine[]): Map<string, KitLine[]> {
  const found = new Map<string, KitLine[]>()
  for (const line of lines) found.set(line.reference, [...(found.get(line.reference) ?? []), line])
  return found
}
const named = (group: string) => group.replaceAll('-', ' ')
const shown = (nm: number) => {
  const { main, other } = units.torque(nm)
  return `${main.text} ${main.unit} (${other.text} ${other.unit})`
}
</script>

<template>
  <section aria-labelledby="kits-title">
    <h2 id="kits-title" class="text-xl">Kits</h2>
    <p class="mt-1">
      Figures of kit sheets, kept from the jobs that named them. The same family of kit can carry another figure: the
      sheet in the box goes before what stands here.
    </p>
    <p v-if="problem" class="mt-2 text-danger" role="alert">
      {{ t(problem) }} <button class="underline" @click="load">Try again</button>
    </p>
    <p v-else-if="kits && kits.length === 0" class="mt-2 text-quiet">
      None yet. Name a figure in a job from its kit sheet.
    </p>
    <ul class="ruled mt-2">
      <li v-for="[reference, lines] in sheets" :key="reference" class="py-2">
        <span class="font-semibold">{{ reference }}</span><span v-for="line in lines" :key="line.group" class="block"
          >{{ named(line.group) }} <span class="figure">{{ shown(line.figure.torqueNm) }}</span><span class="text-quiet"
            >, job {{ line.jobNumber }}</span
          ></span
        >
      </li>
    </ul>
  </section>
</template>
