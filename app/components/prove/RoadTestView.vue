<script setup lang="ts">
/** The drive by tasks: read aloud before it, written down after it; and which part hums. */
const numbers = useNumbers()
const { store, state } = useJob()
const t = useTerms()
const speech = useSpeech()
const tasks = computed(() => state.value.procedure!.roadTest)
const asked = ref<string | null>(null)
const words = ref('')
const drive = reactive({ speed: '', gear: '', rpm: '' })
const { problems, allGood } = useProblems()
const units = useUnits()
const open = computed(() => tasks.value.filter(task => !state.value.road[task.id]))
const reading = ref(false)
useKeys({ Backspace: store.undo })

function readAloud() {
  speech.on.value = true
  reading.value = true
  speech.say(tasks.value.map((task, index) => `${index + 1}. ${t(task.say)}`).join(' … '))
}
const number = (text: string) => (text.trim() === '' ? undefined : numbers.plain(text))
function note(taskId: string, good: boolean) {
  const speed = number(drive.speed)
  const rpm = number(drive.rpm)
  const isSaid = allGood({
    words: !good && words.value.trim() === '' && 'Say what was heard or felt.',
    speed: Number.isNaN(speed) && 'Speed is a number.',
    rpm: Number.isNaN(rpm) && 'Revs are a number.',
  })
  if (!isSaid) return
  const kmh = speed === undefined ? undefined : units.preference.value.distance === 'mi' ? speed * 1.609344 : speed
  if (
    !store.write('road-noted', {
      taskId,
      good,
      text: words.value.trim(),
      ...(kmh === undefined ? {} : { speedKmh: kmh }),
      ...(drive.gear ? { gear: drive.gear } : {}),
      ...(rpm === undefined ? {} : { rpm }),
    })
  )
    return
  asked.value = null
  words.value = ''
  Object.assign(drive, { speed: '', gear: '', rpm: '' })
}
function stopReading() {
  speech.stop()
  reading.value = false
}
</script>

<template>
  <SheetWithMargin margin-title="Which part hums">
    <ProveHead />
    <h1 class="text-2xl">Road test</h1>
    <p class="mt-2 text-lg">
      {{ open.length === 0 ? 'Every task is driven.' : `${open.length} of ${tasks.length} tasks to drive.` }} Listen to
      them before the drive; write down what they showed after it, standing.
    </p>
    <p class="mt-2 border-l-4 border-attention pl-3">
      Hands on the wheel and eyes on the road: nothing is typed while it rolls. The law of the road goes before every
      task.
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button v-if="speech.isSupported.value" class="button button-main" @click="readAloud">Read it aloud</button>
      <button v-if="reading" class="button" @click="stopReading">Stop reading</button>
    </div>
    <ol class="ruled mt-4">
      <li v-for="(task, index) in tasks" :key="task.id" class="py-3" :data-testid="`road-${task.id}`">
        <p class="text-lg font-semibold">
          <span class="figure mr-2 text-quiet">{{ index + 1 }}</span>{{ t(task.title) }}
        </p>
        <p>{{ t(task.say) }}</p>
        <p v-if="state.road[task.id]" class="mt-1" :class="state.road[task.id]!.good ? 'text-good' : 'text-attention'">
          <span class="label">{{ state.road[task.id]!.good ? '✓ right' : '! not right' }}</span>
          {{ state.road[task.id]!.text
          }}<template v-if="state.road[task.id]!.speedKmh !== undefined"
            >, {{ units.distance(state.road[task.id]!.speedKmh!) }}/h</template
          ><template v-if="state.road[task.id]!.gear">, gear {{ state.road[task.id]!.gear }}</template
          ><template v-if="state.road[task.id]!.rpm !== undefined">, {{ state.road[task.id]!.rpm }} rpm</template>
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button class="button" @click="note(task.id, true)">Right</button
          ><button
            class="button"
            :aria-expanded="asked === task.id"
            @click="asked = asked === task.id ? null : task.id"
          >
            Not right
          </button>
        </div>
        <form
          v-if="asked === task.id"
          class="mt-3 grid max-w-2xl gap-3"
          novalidate
          @submit.prevent="note(task.id, false)"
        >
          <Field
            v-slot="{ control }"
            :id="`road-${task.id}`"
            label="What was heard or felt"
            :problem="problems.words ?? ''"
            ><input v-bind="control" v-model="words" class="mt-1" maxlength="500"
          /></Field>
          <div class="grid grid-cols-3 gap-3">
            <Field
              v-slot="{ control }"
              id="road-speed"
              :label="`At, ${units.preference.value.distance}/h`"
              :problem="problems.speed ?? ''"
              ><input v-bind="control" v-model="drive.speed" class="figure mt-1" inputmode="decimal"
            /></Field>
            <Field v-slot="{ control }" id="road-gear" label="Gear"
              ><select v-bind="control" v-model="drive.gear" class="figure mt-1">
                <option value="">none</option>
                <option v-for="gear in state.vehicle!.gears" :key="gear">{{ gear }}</option>
              </select></Field
            >
            <Field v-slot="{ control }" id="road-rpm" label="Revs" :problem="problems.rpm ?? ''"
              ><input v-bind="control" v-model="drive.rpm" class="figure mt-1" inputmode="numeric"
            /></Field>
          </div>
          <button class="button justify-self-start">Write it down</button>
        </form>
      </li>
    </ol>
    <template #margin><NoiseOrders /></template>
  </SheetWithMargin>
</template>
