<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'
import { issuesOf } from '../../lib/reason-of'

/** What the garage asks for: an hour, coming out, on top of parts, tax; in which money, on which paper. */
const numbers = useNumbers()
const garage = useGarageStore()
const { labourPerHour, currency, taxPercent, partsMarginPercent, callOut, paper } = garage.garage!
const form = reactive({ hour: String(labourPerHour), currency, tax: String(taxPercent), margin: String(partsMarginPercent), callOut: String(callOut), paper })
const number = (text: string) => numbers.plain(text)
const problem = ref('')
const saved = ref('')
const currencies = ['USD', 'EUR', 'GBP', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'ZAR', 'INR', 'JPY']
async function save() {
  problem.value = ''
  saved.value = ''
  const change = garageSettings.safeParse({ labourPerHour: number(form.hour), currency: form.currency, taxPercent: number(form.tax), partsMarginPercent: number(form.margin), callOut: number(form.callOut), paper: form.paper })
  if (!change.success) {
    problem.value = change.error.issues[0]!.message
    return
  }
  try {
    await garage.change(change.data)
    saved.value = 'Kept.'
  }
  catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
</script>

<template>
  <section aria-labelledby="money-title">
    <h2 id="money-title" class="text-xl">Money</h2>
    <form class="mt-3 flex flex-wrap items-end gap-3" novalidate @submit.prevent="save">
      <div class="w-36"><label class="label" for="hour">An hour of work</label><input id="hour" v-model="form.hour" inputmode="decimal" class="figure mt-1"></div>
      <div class="w-32"><label class="label" for="currency">in</label><select id="currency" v-model="form.currency" class="figure mt-1"><option v-for="entry in currencies.includes(form.currency) ? currencies : [form.currency, ...currencies]" :key="entry">{{ entry }}</option></select></div>
      <div class="w-36"><label class="label" for="call-out">Coming out</label><input id="call-out" v-model="form.callOut" inputmode="decimal" class="figure mt-1"></div>
      <div class="w-36"><label class="label" for="margin">On parts, in 100</label><input id="margin" v-model="form.margin" inputmode="decimal" class="figure mt-1"></div>
      <div class="w-32"><label class="label" for="tax">Tax, in 100</label><input id="tax" v-model="form.tax" inputmode="decimal" class="figure mt-1"></div>
      <div class="w-32"><label class="label" for="paper">Papers on</label><select id="paper" v-model="form.paper" class="mt-1"><option value="a4">A4</option><option value="letter">Letter</option></select></div>
      <button class="button button-main">Keep this rate</button><span role="status">{{ saved }}</span>
      <p v-if="problem" class="w-full text-danger" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>
