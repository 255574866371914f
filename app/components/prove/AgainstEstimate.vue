<script setup lang="ts">
import { paidSoFar } from '../../../core/job/chapters/money'
import { jobCosts } from '../../../core/job/views/costs'
import { observedMinutes } from '../../../core/job/views/observed-minutes'
import { minutesText } from '../../words/durations'
import { momentText } from '../../words/moments'

/** What was planned beside what was worked, by phase, and what that means in money. */
const numbers = useNumbers()
const { store, state } = useJob()
const t = useTerms()
const { money, rates } = useMoney()
const observed = computed(() => observedMinutes(store.log, state.value))
const costs = computed(() => jobCosts(state.value, rates.value, observed.value))
const phaseNames = {
  test: 'Tests',
  'make-safe': 'Making safe, lifting',
  strip: 'Strip',
  bench: 'Bench',
  refit: 'Refit',
  fill: 'Fluids and hydraulics',
  prove: 'Proving',
} as const
const titles = computed(() => new Map(state.value.procedure!.operations.map(operation => [operation.id, operation])))
const longest = computed(() =>
  Math.max(1, ...costs.value.byPhase.flatMap(entry => [entry.measuredEstimate, entry.measured ?? 0])),
)
const far = computed(() =>
  observed.value
    .flatMap(entry => {
      const operation = titles.value.get(entry.operationId)!
      const off = entry.minutes - operation.minutes[1]
      return Math.abs(off) < 2 ? [] : [{ ...entry, title: operation.title, planned: operation.minutes[1], off }]
    })
    .sort((a, b) => Math.abs(b.off) - Math.abs(a.off))
    .slice(0, 8),
)
const toPay = computed(() => costs.value.total - paidSoFar(state.value))
/** What an empty field stands for: the rest, also after a payment that is still on its way to the disk. */
const restInCents = () => Math.max(0, Math.round((costs.value.total - paidSoFar(store.ahead)) * 100))
const amount = ref('')
const how = ref('')
const { problems, allGood } = useProblems()
function pay() {
  const value = amount.value.trim() === '' ? restInCents() / 100 : numbers.plain(amount.value)
  const good = allGood({
    amount: (!Number.isFinite(value) || value === 0) && 'How much came in, as a number?',
    how: how.value.trim() === '' && 'How was it paid?',
  })
  if (!good || !store.write('paid', { amount: value, how: how.value.trim() })) return
  amount.value = ''
  how.value = ''
}
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin margin-title="Money">
    <ProveHead />
    <h1 class="text-2xl">Against the estimate</h1>
    <p v-if="Object.keys(state.done).length === 0" class="mt-3 text-lg">
      Nothing is done yet, so there is nothing to set against the plan.
    </p>
    <p v-else-if="observed.length === 0" class="mt-3 text-lg" data-testid="against">
      Not measured. No timer ran, and the steps were ticked off faster or slower than anybody works, so nothing is told
      as worked. The plan computes <span class="figure">{{ minutesText(costs.estimatedMinutes) }}</span>.
    </p>
    <template v-else>
      <p class="mt-3 border-l-4 border-action pl-4 text-lg" data-testid="against">
        Measured: {{ minutesText(costs.measuredMinutes) }} for {{ costs.measuredSteps }} of {{ costs.steps }} pieces of
        work, which the plan computes at {{ minutesText(costs.measuredEstimate) }}:
        <span class="font-semibold"
          >{{ minutesText(Math.abs(costs.measuredMinutes - costs.measuredEstimate)) }}
          {{ costs.measuredMinutes > costs.measuredEstimate ? 'longer' : 'shorter' }}</span
        >. {{ observed.filter(entry => entry.by === 'timer').length }} by the timer, the others by the time from one
        step to the next. Of the rest nothing is known.
      </p>
      <table class="mt-5 w-full text-left">
        <thead class="text-sm text-quiet">
          <tr>
            <th scope="col" class="font-normal">Phase</th>
            <th scope="col" class="text-right font-normal">Planned</th>
            <th scope="col" class="text-right font-normal">Measured</th>
            <th scope="col" class="w-2/5 pl-4 font-normal">Of what was measured: plan above, clock below</th>
          </tr>
        </thead>
        <tbody class="ruled">
          <tr v-for="entry in costs.byPhase" :key="entry.phase">
            <td class="py-2">{{ phaseNames[entry.phase] }}</td>
            <td class="figure text-right">{{ minutesText(entry.estimated) }}</td>
            <td class="figure text-right">
              <template v-if="entry.measured === null">not measured</template
              ><template v-else
                >{{ minutesText(entry.measured)
                }}<span v-if="entry.measuredSteps < entry.steps" class="block text-sm text-quiet"
                  >{{ entry.measuredSteps }} of {{ entry.steps }}</span
                ></template
              >
            </td>
            <td class="py-2 pl-4" aria-hidden="true">
              <template v-if="entry.measured !== null"
                ><div
                  class="h-2.5 border border-ink"
                  :style="{ width: `${(entry.measuredEstimate / longest) * 100}%` }" />
                <div
                  class="mt-0.5 h-2.5"
                  :class="entry.measured > entry.measuredEstimate * 1.15 ? 'bg-attention' : 'bg-ink'"
                  :style="{ width: `${(entry.measured / longest) * 100}%` }"
              /></template>
            </td>
          </tr>
        </tbody>
      </table>
      <section v-if="far.length" class="mt-6">
        <h2 class="border-b border-ink pb-1 text-lg">Furthest from the plan</h2>
        <ul class="ruled">
          <li v-for="entry in far" :key="entry.operationId" class="flex flex-wrap justify-between gap-x-4 py-2">
            <span
              >{{ t(entry.title)
              }}<span v-if="entry.troubled" class="text-attention">, with trouble: it teaches nothing</span></span
            ><span class="figure">{{ Math.round(entry.minutes) }} min for {{ Math.round(entry.planned) }}</span>
          </li>
        </ul>
      </section>
    </template>
    <template #margin>
      <section class="grid gap-3">
        <h2 class="border-b border-ink pb-1 text-lg">Money</h2>
        <dl class="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
          <dt>{{ t('{Labor}') }} by the plan</dt>
          <dd class="figure text-right">{{ money(costs.labour) }}</dd>
          <dt>Parts</dt>
          <dd class="figure text-right">{{ money(costs.partsTotal) }}</dd>
          <template v-if="costs.callOut"
            ><dt>Call-out</dt>
            <dd class="figure text-right">{{ money(costs.callOut) }}</dd></template
          >
          <template v-if="costs.tax"
            ><dt>Tax</dt>
            <dd class="figure text-right">{{ money(costs.tax) }}</dd></template
          >
          <dt class="font-bold">In all</dt>
          <dd class="figure text-right font-bold">{{ money(costs.total) }}</dd>
        </dl>
        <h3 class="border-b border-rule pt-2 pb-1 text-base">Paid</h3>
        <ul v-if="state.payments.length" class="ruled">
          <li v-for="payment in state.payments" :key="payment.at" class="flex justify-between gap-3 py-1.5">
            <span>{{ momentText(payment.at) }}, {{ payment.how }}</span
            ><span class="figure">{{ money(payment.amount) }}</span>
          </li>
        </ul>
        <p data-testid="to-pay">
          {{
            toPay > 0.005
              ? `${money(toPay)} still to pay.`
              : toPay < -0.005
                ? `${money(-toPay)} too much was paid.`
                : 'All is paid.'
          }}
        </p>
        <form class="grid grid-cols-[7rem_1fr] items-end gap-2" novalidate @submit.prevent="pay">
          <Field v-slot="{ control }" id="paid" label="Came in" :problem="problems.amount ?? ''"
            ><input
              v-bind="control"
              v-model="amount"
              class="figure mt-1"
              inputmode="decimal"
              autocomplete="off"
              :placeholder="toPay > 0 ? toPay.toFixed(2) : ''"
          /></Field>
          <Field v-slot="{ control }" id="paid-how" label="How" :problem="problems.how ?? ''"
            ><input v-bind="control" v-model="how" class="mt-1" maxlength="120" placeholder="cash, card, transfer"
          /></Field>
          <button class="button col-span-2">Write the payment down</button>
        </form>
        <p v-if="costs.unpriced.length" class="text-quiet">Without a price: {{ costs.unpriced.map(t).join(', ') }}.</p>
        <p>
          Rates stand in the <NuxtLink class="underline" to="/library">Library</NuxtLink>. After the hand-over the timed
          minutes go into the garage’s own estimates.
        </p>
      </section>
    </template>
  </SheetWithMargin>
</template>
