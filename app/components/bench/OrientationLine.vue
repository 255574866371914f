<script setup lang="ts">
import type { Orientation } from '../../../core/packs'

/** One part: which way it lay, what mark was made, where the photo is; confirmed when it goes back. */
const props = defineProps<{ entry: Orientation }>()
const { store, state } = useJob()
const t = useTerms()
const noted = computed(() => state.value.orientations[props.entry.id] ?? null)
const writing = ref(false)
const side = ref<string | null>(null)
const own = ref('')
const mark = ref('')
const photo = ref('')
function open() {
  const { entry } = props
  side.value = noted.value ? (entry.sides.includes(noted.value.side) ? noted.value.side : null) : null
  own.value = noted.value && !entry.sides.includes(noted.value.side) ? noted.value.side : ''
  mark.value = noted.value?.mark ?? ''
  photo.value = noted.value?.photo ?? ''
  writing.value = true
}
function keep() {
  const said = own.value.trim() || side.value
  if (!said) return
  if (
    store.write('orientation-noted', {
      partId: props.entry.id,
      side: said,
      mark: mark.value.trim(),
      photo: photo.value.trim() || null,
    })
  )
    writing.value = false
}
</script>

<template>
  <li class="py-3" :data-testid="`way-round-${entry.id}`">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <span class="min-w-0 flex-1 basis-64">
        <span class="text-lg font-semibold">{{ t(entry.name) }}</span>
        <span v-if="noted" class="block first-letter:uppercase"
          >{{ t(noted.side) }}<template v-if="noted.mark">, {{ noted.mark }}</template
          ><template v-if="noted.photo">. Photo: {{ noted.photo }}</template></span
        >
        <span v-else class="block text-quiet">{{ t(entry.about) }}</span>
      </span>
      <span v-if="noted" class="font-semibold" :class="noted.confirmedAt ? 'text-good' : 'text-attention'">{{
        noted.confirmedAt ? '✓ confirmed' : 'to be confirmed'
      }}</span>
      <button
        v-if="noted && !noted.confirmedAt"
        class="button button-main"
        @click="store.write('orientation-confirmed', { partId: entry.id })"
      >
        It goes in so<span class="sr-only">: {{ t(entry.name) }}</span>
      </button>
      <button class="button" @click="open">
        {{ noted ? 'Change' : 'Note it' }}<span class="sr-only">: {{ t(entry.name) }}</span>
      </button>
    </div>
    <form v-if="writing" class="mt-3 grid gap-3 border-l-4 border-action pl-4 sm:grid-cols-2" @submit.prevent="keep">
      <ChoiceRow
        v-model="side"
        class="sm:col-span-2"
        label="Which way"
        :choices="entry.sides.map(each => ({ id: each, label: t(each) }))"
      />
      <Field v-slot="{ control }" :id="`own-${entry.id}`" label="Or in your words"
        ><input v-bind="control" v-model="own" maxlength="120" class="mt-1"
      /></Field>
      <Field v-slot="{ control }" :id="`mark-${entry.id}`" label="Mark made"
        ><input v-bind="control" v-model="mark" maxlength="120" class="mt-1" placeholder="Paint at 12 o'clock"
      /></Field>
      <Field v-slot="{ control }" :id="`photo-${entry.id}`" label="Where the photo is"
        ><input v-bind="control" v-model="photo" maxlength="120" class="mt-1" placeholder="Phone, picture 14:05"
      /></Field>
      <p class="flex items-end gap-2">
        <button class="button button-main" :disabled="!side && !own.trim()">Keep it</button
        ><button type="button" class="button" @click="writing = false">Leave it</button>
      </p>
    </form>
  </li>
</template>
