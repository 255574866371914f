<script setup lang="ts">
import { garageSettings } from '../../../contracts/jobs'
import { issuesOf } from '../../lib/reason-of'

/** What an hour of work costs a customer, and in which money. */
const garage = useGarageStore()
const { labourPerHour, currency } = garage.garage!
const form = reactive({ hour: String(labourPerHour), currency })
const problem = ref('')
const saved = ref('')
const currencies = ['USD', 'EUR', 'GBP', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'ZAR', 'INR', 'JPY']
async function save() {
  problem.value = ''
  saved.value = ''
  const change = garageSettings.safeParse({ labourPerHour: Number(form.hour.replace(',', '.')), currency: form.currency })
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
      <button class="button button-main">Keep this rate</button><span role="status">{{ saved }}</span>
      <p v-if="problem" class="w-full text-danger" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>
