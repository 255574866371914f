<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'

/** What the garage asks for: an hour, coming out, on top of parts, tax; in which money, on which paper. */
const t = useTerms()
const numbers = useNumbers()
const garage = useGarageStore()
const {
  labourPerHour,
  currency,
  taxPercent,
  partsMarginPercent,
  callOut,
  paper,
  priceShare,
  laterPercent = 3,
  latePerDay = 0,
  earlyPerDay = 0,
} = garage.garage!
const form = reactive({
  hour: String(labourPerHour),
  currency,
  tax: String(taxPercent),
  margin: String(partsMarginPercent),
  callOut: String(callOut),
  paper,
  share: priceShare ? String(priceShare) : '',
  later: String(laterPercent),
  late: String(latePerDay),
  early: String(earlyPerDay),
})
const number = (text: string) => numbers.plain(text)
const { problems, check } = useChecked(garageSettings)
/** Whatever is wrong first. */
const problem = computed(() => Object.values(problems.value)[0] ?? '')
const saved = ref('')
const currencies = [
  'USD',
  'EUR',
  'GBP',
  'CAD',
  'AUD',
  'NZD',
  'CHF',
  'SEK',
  'NOK',
  'DKK',
  'PLN',
  'CZK',
  'ZAR',
  'INR',
  'JPY',
]
async function save() {
  saved.value = ''
  const entry = {
    labourPerHour: number(form.hour),
    currency: form.currency,
    taxPercent: number(form.tax),
    partsMarginPercent: number(form.margin),
    callOut: number(form.callOut),
    priceShare: form.share === '' ? null : Number(form.share),
    laterPercent: number(form.later),
    latePerDay: number(form.late),
    earlyPerDay: number(form.early),
    paper: form.paper,
  }
  if (await check(entry, change => garage.change(change))) saved.value = 'Kept.'
}
</script>

<template>
  <section aria-labelledby="money-title">
    <h2 id="money-title" class="text-xl">Money</h2>
    <form class="mt-3 flex flex-wrap items-end gap-3" novalidate @submit.prevent="save">
      <div class="w-36">
        <Field v-slot="{ control }" id="hour" label="An hour of work"
          ><input v-bind="control" v-model="form.hour" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-32">
        <Field v-slot="{ control }" id="currency" label="in"
          ><select v-bind="control" v-model="form.currency" class="figure mt-1">
            <option
              v-for="entry in currencies.includes(form.currency) ? currencies : [form.currency, ...currencies]"
              :key="entry"
            >
              {{ entry }}
            </option>
          </select></Field
        >
      </div>
      <div class="w-36">
        <Field v-slot="{ control }" id="call-out" label="Coming out"
          ><input v-bind="control" v-model="form.callOut" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-36">
        <Field v-slot="{ control }" id="margin" label="On parts, in 100"
          ><input v-bind="control" v-model="form.margin" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-32">
        <Field v-slot="{ control }" id="tax" label="Tax, in 100"
          ><input v-bind="control" v-model="form.tax" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-32">
        <Field v-slot="{ control }" id="paper" label="Papers on"
          ><select v-bind="control" v-model="form.paper" class="mt-1">
            <option value="a4">A4</option>
            <option value="letter">Letter</option>
          </select></Field
        >
      </div>
      <div class="w-64">
        <Field v-slot="{ control }" id="price-share" label="Hours that are asked for"
          ><select v-bind="control" v-model="form.share" class="mt-1">
            <option value="">the likeliest of each step</option>
            <option value="0.5">enough for half of such jobs</option>
            <option value="0.8">enough for 80 of 100</option>
            <option value="0.9">enough for 90 of 100</option>
          </select></Field
        >
      </div>
      <div class="w-56">
        <Field v-slot="{ control }" id="later-percent" label="Paid a year later counts less, in 100"
          ><input v-bind="control" v-model="form.later" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-44">
        <Field v-slot="{ control }" id="late-per-day" label="A day late costs us"
          ><input v-bind="control" v-model="form.late" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <div class="w-56">
        <Field v-slot="{ control }" id="early-per-day" label="A day too early costs us"
          ><input v-bind="control" v-model="form.early" inputmode="decimal" class="figure mt-1"
        /></Field>
      </div>
      <button class="button button-main">Keep this rate</button><span role="status">{{ saved }}</span>
      <p v-if="problem" class="w-full text-danger" role="alert">{{ t(problem) }}</p>
    </form>
  </section>
</template>
