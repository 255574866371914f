<script setup lang="ts">
import { looseMatches } from '../../../core/job'
import type { Body } from '../../../core/packs'
import { newId } from '../../log/ids'

/** What fell and nobody knows from where: written down with its measures, and the pocket it most likely belongs to. */
const props = defineProps<{ body: Body }>()
const { store, state } = useJob()
const t = useTerms()
const open = ref(false)
const what = ref('')
const { entered, read, clear } = useSpringTyped(() => ({}))
const { problems, allGood } = useProblems()
const matches = computed(() => looseMatches(state.value, props.body))
const placeOf = (pieceId: string) => {
  const pocket = props.body.pockets.find(entry => entry.pieces.some(piece => piece.id === pieceId))
  const piece = pocket?.pieces.find(entry => entry.id === pieceId)
  return pocket && piece ? `${t(pocket.name)}, ${t(piece.name)}` : ''
}
const everywhere = computed(() =>
  props.body.pockets.flatMap(pocket => pocket.pieces.map(piece => ({ id: piece.id, name: placeOf(piece.id) }))),
)
const picked = ref<Record<string, string>>({})
function keep() {
  const { measures, unread } = read()
  if (what.value.trim() === '') return void allGood({ what: 'Say what it is: a spring, a ball, a sleeve.' })
  if (unread) return void allGood({ measures: unread })
  const refusal = store.attempt('piece-found', {
    bodyId: props.body.id,
    looseId: newId(),
    what: what.value.trim(),
    measures,
  })
  if (!allGood({ measures: refusal })) return
  what.value = ''
  clear()
  open.value = false
}
const place = (looseId: string, pieceId: string | null) =>
  store.write('piece-placed', { bodyId: props.body.id, looseId, pieceId })
</script>

<template>
  <section class="grid gap-3">
    <h2 class="border-b border-ink pb-1 text-lg">Lies there, from nobody knows where</h2>
    <p v-if="matches.length === 0 && !open" class="text-quiet">
      Nothing. A piece that falls is written down here, and its pocket is reckoned from its measures.
    </p>
    <div v-for="{ loose, match } in matches" :key="loose.id" class="grid gap-2 border-l-4 border-attention pl-3">
      <p class="font-semibold">{{ loose.what }}</p>
      <template v-if="match">
        <p v-if="match.pocket" data-testid="loose-match">
          Most likely: {{ placeOf(match.pocket) }}, {{ Math.round(match.share * 100) }} in 100.
        </p>
        <p v-else data-testid="loose-match">
          It fits no pocket of this body, {{ Math.round(match.share * 100) }} in 100.
        </p>
        <button v-if="match.pocket" class="button justify-self-start" @click="place(loose.id, match.pocket)">
          It goes in there
        </button>
      </template>
      <p v-else>Without a measure of a spring nothing can be reckoned; count the pockets.</p>
      <Field v-slot="{ control }" :id="`place-${loose.id}`" label="Or by what was counted"
        ><select v-bind="control" v-model="picked[loose.id]" class="mt-1">
          <option value="" disabled>choose</option>
          <option v-for="entry in everywhere" :key="entry.id" :value="entry.id">{{ entry.name }}</option>
        </select></Field
      >
      <div class="flex flex-wrap gap-2">
        <button class="button" :disabled="!picked[loose.id]" @click="place(loose.id, picked[loose.id]!)">
          Put it there
        </button>
        <button class="button" @click="place(loose.id, null)">It is none of this body</button>
      </div>
    </div>
    <button v-if="!open" class="button justify-self-start" @click="open = true">Something lies there</button>
    <form v-else class="grid gap-2" @submit.prevent="keep">
      <Field v-slot="{ control }" id="loose-what" label="What it is" :problem="problems.what ?? ''"
        ><input v-bind="control" v-model="what" class="mt-1" maxlength="80" autocomplete="off"
      /></Field>
      <p class="text-quiet">If it is a spring, what can be measured of it:</p>
      <SpringFields v-model="entered" id-of="loose" />
      <p class="text-danger" role="alert">{{ t(problems.measures ?? '') }}</p>
      <div class="flex gap-2">
        <button class="button button-main">Write it down</button>
        <button type="button" class="button" @click="open = false">Leave it</button>
      </div>
    </form>
  </section>
</template>
