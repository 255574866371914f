<script setup lang="ts">
import type { PackLine, PackText } from '../../../contracts/answers'
import { packText } from '../../../contracts/jobs'
import { minutesText } from '../../words/durations'
import { inFamilies } from '../../words/in-families'
import { issuesOf } from '../../words/reason-of'

/** Every layout the garage can choose: those that ship and its own. All of them can be checked at once. */
const garage = useGarageStore()
const messages = useMessages()
const t = useTerms()
const lines = ref<PackLine[] | null>(null)
const failed = ref(false)
const importIssues = ref<string[]>([])
const findings = ref<Record<string, { sound: boolean; text: string }>>({})
const checking = ref('')
const picker = useTemplateRef('picker')
const { check } = usePackCheck()
const emit = defineEmits<{ loaded: [lines: PackLine[]] }>()

async function load() {
  failed.value = false
  try {
    lines.value = await $fetch<PackLine[]>('/api/packs')
    emit('loaded', lines.value)
  } catch {
    failed.value = true
  }
}
onMounted(load)

async function duplicate(id: string) {
  try {
    const copy = await $fetch<PackText>(`/api/packs/${id}/copies`, {
      method: 'POST',
      body: { personId: garage.personId },
    })
    await navigateTo(`/library/packs/${copy.id}`)
  } catch (error) {
    messages.say(issuesOf(error)[0]!.reason, 'refused')
  }
}

async function importFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  importIssues.value = []
  if (!file) return
  const body = packText.safeParse({ yaml: await file.text(), personId: garage.personId })
  if (!body.success) {
    importIssues.value = body.error.issues.map(issue => issue.message)
    return
  }
  try {
    const taken = await $fetch<PackText>('/api/packs', { method: 'POST', body: body.data })
    await navigateTo(`/library/packs/${taken.id}`)
  } catch (error) {
    importIssues.value = issuesOf(error).map(
      issue => `${file.name}: ${issue.path}${issue.path ? ', ' : ''}${issue.reason}`,
    )
  }
}

async function checkAll() {
  findings.value = {}
  for (const line of lines.value ?? []) {
    checking.value = line.id
    try {
      const { yaml } = await $fetch<PackText>(`/api/packs/${line.id}/file`, { headers: { accept: 'application/json' } })
      const found = await check(yaml, KNOWN_PATIENCE_MS)
      if (!found) break
      const [first] = found.problems
      findings.value[line.id] = first
        ? { sound: false, text: `${found.problems.length} wrong. ${first.path}: ${first.reason}` }
        : {
            sound: true,
            text: `sound under every choice: ${found.preview!.stepCount} operations, ${found.linkCount} links, ${minutesText(found.preview!.totals.minutes)} planned`,
          }
    } catch (error) {
      findings.value[line.id] = { sound: false, text: issuesOf(error)[0]!.reason }
    }
  }
  checking.value = ''
}
</script>

<template>
  <section aria-labelledby="packs-title">
    <div class="flex flex-wrap items-center gap-2">
      <h2 id="packs-title" class="mr-auto text-xl">Layouts</h2>
      <button class="button" :disabled="!lines || checking !== ''" @click="checkAll">
        {{ checking ? 'Checking' : 'Check every layout' }}
      </button>
      <button class="button" @click="picker?.click()">Take a file in</button>
      <input ref="picker" type="file" accept=".yaml,.yml" class="hidden" aria-label="Pack file" @change="importFile" />
    </div>
    <div v-if="importIssues.length" class="mt-3 border-l-4 border-danger pl-4" role="alert">
      <p class="font-semibold">The file was not taken in. Nothing was changed.</p>
      <ul>
        <li v-for="issue in importIssues" :key="issue">{{ issue }}</li>
      </ul>
    </div>
    <p v-if="failed" class="mt-3 border-l-4 border-attention pl-4" role="alert">
      The layouts could not be fetched. <button class="font-semibold underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!lines" class="mt-3" role="status">Fetching the layouts</p>
    <section v-for="[family, members] in inFamilies(lines ?? [])" :key="family ?? ''" class="mt-5">
      <h3 class="label">{{ family ? t(family) : 'Of no family' }}</h3>
      <ul class="mt-1">
        <li
          v-for="line in members"
          :key="line.id"
          class="flex flex-wrap items-start gap-x-5 gap-y-2 border-t-2 border-ink py-3"
          :data-testid="`pack-${line.id}`"
        >
          <div class="min-w-0 flex-1 basis-80">
            <p>
              <NuxtLink :to="`/library/packs/${line.id}`" class="text-lg font-semibold underline">{{
                t(line.title)
              }}</NuxtLink>
              <span v-if="line.own" class="tag ml-2 text-sm">ours</span>
            </p>
            <p class="text-quiet">{{ t(line.about) }}</p>
            <p class="text-sm text-quiet">
              <span class="figure">{{ line.id }}</span><template v-if="line.operationCount"
                >, {{ line.operationCount }} pieces of work written down</template
              ><template v-if="line.own"
                >, changed
                {{
                  new Date(line.own.changedAt).toLocaleDateString('en-GB', {
                    day: 'numeric',
                    month: 'short',
                    year: 'numeric',
                  })
                }}
                by {{ line.own.changedBy }}</template
              >
            </p>
            <p v-if="line.fault" class="text-danger">Cannot be used: {{ line.fault }}</p>
            <p v-if="findings[line.id]" :class="findings[line.id]!.sound ? 'text-good' : 'text-danger'">
              <span aria-hidden="true">{{ findings[line.id]!.sound ? '✓ ' : '! ' }}</span>{{ findings[line.id]!.text }}
            </p>
            <p v-else-if="checking === line.id" role="status">Looking through it</p>
          </div>
          <div class="flex flex-wrap gap-2">
            <NuxtLink :to="`/library/packs/${line.id}`" class="button no-underline"
              >{{ line.own ? 'Edit' : 'Read' }}<span class="sr-only"> {{ t(line.title) }}</span></NuxtLink
            >
            <button class="button" :disabled="!!line.fault" @click="duplicate(line.id)">
              Duplicate<span class="sr-only"> {{ t(line.title) }}</span>
            </button>
            <a class="button no-underline" :href="`/api/packs/${line.id}/file`" download
              >Export<span class="sr-only"> {{ t(line.title) }}</span></a
            >
          </div>
        </li>
      </ul>
    </section>
  </section>
</template>
