<script setup lang="ts">
import { toolNeed } from '../../../core/job'
import { toolWays } from '../../../core/decisions'
import type { ToolTerms, ToolWayId } from '../../../core/decisions'
import { issuesOf } from '../../words/reason-of'
import { byId } from '../../../core/base/by-id'

/** One tool that is not in the house: what it is wanted for, and what each way to have it, or to do without it, costs this job. */
const props = defineProps<{ toolId: string; without: boolean; busy: boolean }>()
const emit = defineEmits<{ without: [on: boolean] }>()
const { state } = useJob()
const t = useTerms()
const numbers = useNumbers()
const garage = useGarageStore()
const messages = useMessages()
const { money, labourPerHour, currency } = useMoney()
const tool = computed(() => byId(state.value.procedure!.tools, props.toolId)!)
const name = computed(() => [t(tool.value.name), tool.value.size].filter(Boolean).join(' '))
const need = computed(() => toolNeed(state.value, props.toolId, garage.garage?.toolsMissing ?? []))
const nothingKnown: ToolTerms = { buy: null, rentPerDay: null, fetchMinutes: null, jobsAYear: 4 }
/** What was typed and is on its way: the next field is typed before the server has answered. */
const typed = ref<ToolTerms | null>(null)
const terms = computed(() => typed.value ?? garage.garage?.toolTerms[props.toolId] ?? nothingKnown)
const found = computed(() =>
  toolWays({
    ...terms.value,
    labourPerHour: labourPerHour.value,
    days: need.value.days,
    // A tool of the ladders alone is done without until it is wanted.
    withoutMinutes: need.value.steps.length > 0 ? need.value.withoutMinutes : 0,
  }),
)
const inCase = computed(() => need.value.steps.length === 0)
const wayNames: Record<ToolWayId, string> = { buy: 'Buy', rent: 'Rent', borrow: 'Borrow', without: 'Do without' }
const fields = computed(() => [
  { key: 'buy' as const, label: `To buy, ${currency.value}` },
  { key: 'rentPerDay' as const, label: `A day’s rent, ${currency.value}` },
  { key: 'fetchMinutes' as const, label: 'Minutes to fetch it and back' },
  { key: 'jobsAYear' as const, label: 'Jobs a year that want it' },
])
const problem = ref('')
async function change(key: keyof ToolTerms, text: string) {
  const value = text.trim() === '' ? null : numbers.plain(text)
  problem.value =
    value !== null && (!Number.isFinite(value) || value < 0)
      ? `“${text}” is no amount.`
      : key === 'jobsAYear' && value === null
        ? 'How many jobs in a year want it?'
        : ''
  if (problem.value) return
  typed.value = { ...terms.value, [key]: value } as ToolTerms
  const toolTerms = { ...garage.garage?.toolTerms, [props.toolId]: typed.value }
  try {
    await garage.change({ toolTerms })
  } catch (error) {
    typed.value = null
    messages.say(`It was not kept. ${issuesOf(error)[0]!.reason}`, 'refused')
  }
}
/** Minutes of a ladder that the tool saves where it is wanted, and how often that has to be for a bought one to pay. */
const saved = computed(() => {
  const lost = need.value.rungs.filter(rung => rung.next && rung.next.minutes > rung.minutes)
  const most = Math.max(0, ...lost.map(rung => rung.next!.minutes - rung.minutes))
  const each = (most / 60) * labourPerHour.value
  return most > 0
    ? { minutes: most, money: each, times: terms.value.buy ? Math.ceil(terms.value.buy / each) : null }
    : null
})
</script>

<template>
  <details class="border-b border-rule py-2" :data-testid="`missing-${toolId}`">
    <summary class="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3">
      <span class="min-w-0 flex-1 basis-48 font-semibold">{{ name }}</span><span class="text-quiet">{{
        without
          ? 'done without'
          : inCase
            ? 'only in case'
            : found.advised
              ? wayNames[found.advised].toLowerCase()
              : 'no way priced'
      }}</span>
    </summary>
    <p v-if="!inCase" class="mt-1 text-lg">{{ t(found.because) }}</p>
    <p class="mt-1 text-quiet">
      <template v-if="inCase">No step of the plan uses it; it is for when something sticks.</template>
      <template v-else
        >{{ need.steps.length }} {{ need.steps.length === 1 ? 'step uses' : 'steps use' }} it. Without it:
        {{ t(need.because) }}{{ need.risk ? ` ${t(need.risk)}` : '' }}</template
      >
    </p>
    <ul v-if="need.rungs.length" class="mt-1 grid gap-1">
      <li v-for="rung in need.rungs" :key="`${rung.ladder}/${rung.rung}`" class="border-l-4 border-rule pl-3">
        {{ t(rung.ladder) }}: “{{ t(rung.rung) }}”<template v-if="rung.minutes">, {{ rung.minutes }} min</template>,
        falls away<template v-if="rung.next"
          >; next is “{{ t(rung.next.title) }}”<template v-if="rung.next.minutes"
            >, {{ rung.next.minutes }} min</template
          ></template
        ><template v-else>, and nothing after it can be done with what is here</template>.
      </li>
    </ul>
    <p v-if="saved" class="mt-1">
      There it saves {{ saved.minutes }} min, {{ money(saved.money) }}, each time<template v-if="saved.times"
        >: a bought one has paid for itself when it was wanted {{ saved.times }} times</template
      >.
    </p>
    <table v-if="!inCase" class="mt-2 w-full max-w-xl border-collapse">
      <thead>
        <tr class="border-b-2 border-ink text-left">
          <th scope="col" class="py-1">Way</th>
          <th scope="col" class="py-1 pl-3 text-right">This job</th>
          <th scope="col" class="py-1 pl-3 text-right">Now</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="way in found.ways" :key="way.id" class="border-b border-rule align-top">
          <th scope="row" class="py-1.5 pr-3 text-left" :class="way.id === found.advised ? 'font-bold' : 'font-normal'">
            {{ wayNames[way.id] }}<span class="block text-sm font-normal text-quiet">{{ t(way.working) }}</span>
          </th>
          <td class="figure py-1.5 pl-3 text-right">{{ way.cost === null ? '' : money(way.cost) }}</td>
          <td class="figure py-1.5 pl-3 text-right">{{ way.now === null ? '' : money(way.now) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
      <div v-for="field in fields" :key="field.key" class="grid content-end">
        <label class="label text-sm" :for="`${toolId}-${field.key}`">{{ field.label }}</label><input
          :id="`${toolId}-${field.key}`"
          class="figure mt-1 px-2!"
          inputmode="decimal"
          autocomplete="off"
          v-typed="terms[field.key] ?? ''"
          @change="change(field.key, ($event.target as HTMLInputElement).value)"
        />
      </div>
    </div>
    <p v-if="problem" class="mt-1 text-danger" role="alert">{{ problem }}</p>
    <p v-if="!inCase && (without || need.withoutMinutes !== null)" class="mt-3">
      <button class="button" :disabled="busy" @click="emit('without', !without)">
        {{ without ? 'I have it after all' : 'Do without it on this job' }}
      </button>
    </p>
  </details>
</template>
