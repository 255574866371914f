<script setup lang="ts">
/** The drive by tasks: read aloud before it, written down after it; and which part hums. */
const numbers = useNumbers()
const { store, state } = useJob()
const t = useTerms()
const speech = useSpeech()
const tasks = computed(() => state.value.procedure!.roadTest ?? [])
const asked = ref<string | null>(null)
const words = ref('')
const drive = reactive({ speed: '', gear: '', rpm: '' })
const problem = ref('')
const units = useUnits()
const open = computed(() => tasks.value.filter(task => !state.value.road[task.id]))
const reading = ref(false)
useKeys({ Backspace: store.undo })

function readAloud() {
  speech.on.value = true
  reading.value = true
  speech.say(tasks.value.map((task, index) => `${index + 1}. ${t(task.say)}`).join(' … '))
}
const number = (text: string) => text.trim() === '' ? undefined : numbers.plain(text)
function note(taskId: string, good: boolean) {
  const speed = number(drive.speed)
  const rpm = number(drive.rpm)
  problem.value = Number.isNaN(speed) || Number.isNaN(rpm) ? 'Speed and revs are numbers.' : !good && words.value.trim() === '' ? 'Say what was heard or felt.' : ''
  if (problem.value) return
  const kmh = speed === undefined ? undefined : units.preference.value.distance === 'mi' ? speed * 1.609344 : speed
  if (!store.write('road-noted', { taskId, good, text: words.value.trim(), ...(kmh === undefined ? {} : { speedKmh: kmh }), ...(drive.gear ? { gear: drive.gear } : {}), ...(rpm === undefined ? {} : { rpm }) })) return
  asked.value = null
  words.value = ''
  Object.assign(drive, { speed: '', gear: '', rpm: '' })
}
</script>

<template>
  <SheetWithMargin margin-title="Which part hums">
    <ProveHead />
    <h1 class="text-2xl">Road test</h1>
    <p class="mt-2 text-lg">{{ open.length === 0 ? 'Every task is driven.' : `${open.length} of ${tasks.length} tasks to drive.` }} Listen to them before the drive; write down what they showed after it, standing.</p>
    <p class="mt-2 border-l-4 border-attention pl-3">Hands on the wheel and eyes on the road: nothing is typed while it rolls. The law of the road goes before every task.</p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button v-if="speech.isSupported.value" class="button button-main" @click="readAloud">Read it aloud</button>
      <button v-if="reading" class="button" @click="speech.stop(); reading = false">Stop reading</button>
    </div>
    <ol class="ruled mt-4">
      <li v-for="(task, index) in tasks" :key="task.id" class="py-3" :data-testid="`road-${task.id}`">
        <p class="text-lg font-semibold"><span class="figure mr-2 text-quiet">{{ index + 1 }}</span>{{ t(task.title) }}</p>
        <p>{{ t(task.say) }}</p>
        <p v-if="state.road[task.id]" class="mt-1" :class="state.road[task.id]!.good ? 'text-good' : 'text-attention'">
          <span class="label">{{ state.road[task.id]!.good ? '✓ right' : '! not right' }}</span> {{ state.road[task.id]!.text }}<template v-if="state.road[task.id]!.speedKmh !== undefined">, {{ units.distance(state.road[task.id]!.speedKmh!) }}/h</template><template v-if="state.road[task.id]!.gear">, gear {{ state.road[task.id]!.gear }}</template><template v-if="state.road[task.id]!.rpm !== undefined">, {{ state.road[task.id]!.rpm }} rpm</template>
        </p>
        <div class="mt-2 flex flex-wrap gap-2"><button class="button" @click="note(task.id, true)">Right</button><button class="button" :aria-expanded="asked === task.id" @click="asked = asked === task.id ? null : task.id">Not right</button></div>
        <form v-if="asked === task.id" class="mt-3 grid max-w-2xl gap-3" novalidate @submit.prevent="note(task.id, false)">
          <div><label class="label" :for="`road-${task.id}`">What was heard or felt</label><input :id="`road-${task.id}`" v-model="words" class="mt-1" maxlength="500"></div>
          <div class="grid grid-cols-3 gap-3">
            <div><label class="label" for="road-speed">At, {{ units.preference.value.distance }}/h</label><input id="road-speed" v-model="drive.speed" class="figure mt-1" inputmode="decimal"></div>
            <div><label class="label" for="road-gear">Gear</label><select id="road-gear" v-model="drive.gear" class="figure mt-1"><option value="">none</option><option v-for="gear in state.vehicle!.gears" :key="gear">{{ gear }}</option></select></div>
            <div><label class="label" for="road-rpm">Revs</label><input id="road-rpm" v-model="drive.rpm" class="figure mt-1" inputmode="numeric"></div>
          </div>
          <p class="min-h-6 text-danger" role="alert">{{ problem }}</p>
          <button class="button justify-self-start">Write it down</button>
        </form>
      </li>
    </ol>
    <template #margin><NoiseOrders /></template>
  </SheetWithMargin>
</template>
