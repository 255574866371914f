<script setup lang="ts">
import type { Pack, PackOption } from '../../../core/packs'
import type { PackLine } from '../../../contracts/answers'

/** Where trades people disagree: both sides with their argument, and which one this garage takes unless told otherwise. */
const props = defineProps<{ lines: PackLine[] }>()
const garage = useGarageStore()
const messages = useMessages()
const t = useTerms()
const options = ref<PackOption[]>([])
const failed = ref(false)

async function load() {
  failed.value = false
  try {
    const packs = await Promise.all(
      props.lines.filter(line => !line.fault).map(line => $fetch<Pack>(`/api/packs/${line.id}`)),
    )
    const schools = packs.flatMap(pack => pack.options.filter(option => option.school))
    options.value = schools.filter((option, index) => schools.findIndex(other => other.id === option.id) === index)
  } catch {
    failed.value = true
  }
}
watch(() => props.lines, load, { immediate: true })

async function choose(optionId: string, choiceId: string) {
  try {
    await garage.change({ schools: { ...garage.garage!.schools, [optionId]: choiceId } })
  } catch {
    messages.say('The server did not answer. The choice stays as it was.', 'refused')
  }
}
</script>

<template>
  <section aria-labelledby="schools-title">
    <h2 id="schools-title" class="text-xl">Where the trade disagrees</h2>
    <p class="mt-1 text-quiet">
      What this garage does unless a job says otherwise. Jobs already planned keep their choice.
    </p>
    <p v-if="failed" class="mt-3" role="alert">
      They could not be fetched. <button class="font-semibold underline" @click="load">Try again</button>
    </p>
    <div v-for="option in options" :key="option.id" class="mt-4 border-t border-rule pt-4">
      <ChoiceRow
        :label="t(option.sentence)"
        :model-value="garage.garage!.schools[option.id] ?? option.default"
        :choices="option.choices.map(choice => ({ id: choice.id, label: t(choice.label) }))"
        @update:model-value="choice => choose(option.id, choice!)"
      />
      <ul class="mt-2">
        <li v-for="choice in option.choices" :key="choice.id" class="text-quiet">
          <span class="font-semibold text-ink">{{ t(choice.label) }}:</span> {{ t(choice.about ?? '') }}
        </li>
      </ul>
    </div>
  </section>
</template>
