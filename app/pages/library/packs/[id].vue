<script setup lang="ts">
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { FetchError } from 'ofetch'
import type { PackText } from '../../../../contracts/answers'
import type { PackProblem } from '../../../../contracts/read-pack'
import type { PlanPreview } from '../../../../core/job'
import { issuesOf } from '../../../words/reason-of'

const t = useTerms()
/** How long the typing rests before the text is looked at, ms. */
const REST = 500

const id = String(useRoute().params.id)
const garage = useGarageStore()
const messages = useMessages()
const stored = shallowRef<PackText | null>(null)
const text = ref('')
const problems = shallowRef<PackProblem[]>([])
const preview = shallowRef<PlanPreview | null>(null)
const looked = ref(false)
const saving = ref(false)
const failed = ref(false)
const marginOpen = ref(false)
const removing = ref(false)
const editor = useTemplateRef('editor')
const { check } = usePackCheck()
useHead({ title: `${id} · Eldrin` })

const shipped = computed(() => stored.value?.revision === 0)
const changed = computed(() => stored.value !== null && text.value !== stored.value.yaml)

async function load() {
  failed.value = false
  try {
    stored.value = await $fetch<PackText>(`/api/packs/${id}/file`, { headers: { accept: 'application/json' } })
    text.value = stored.value.yaml
  } catch (error) {
    if (error instanceof FetchError && error.statusCode === 404) {
      showError({
        statusCode: 404,
        statusMessage: 'No such layout',
        message: `There is no layout "${id}" here.`,
        fatal: true,
      })
      return
    }
    failed.value = true
  }
}
onMounted(load)

async function look() {
  if (!garage.garage || !stored.value) return
  const found = await check(text.value)
  if (!found) return
  looked.value = true
  problems.value = found.problems
  if (found.preview) preview.value = found.preview
}
const lookSoon = useDebounceFn(look, REST)
watch(text, () => {
  looked.value = false
  void lookSoon()
})
watch(
  () => garage.garage,
  () => void lookSoon(),
)

async function save() {
  if (!changed.value || shipped.value || saving.value) return
  saving.value = true
  try {
    stored.value = await $fetch<PackText>(`/api/packs/${id}`, {
      method: 'PUT',
      body: { yaml: text.value, revision: stored.value!.revision, personId: garage.personId },
    })
    messages.say('Kept. Jobs planned from now on use it.')
  } catch (error) {
    const [issue] = issuesOf(error)
    messages.say(`Not kept. ${issue!.path ? `${issue!.path}: ` : ''}${issue!.reason}`, 'refused')
  } finally {
    saving.value = false
  }
}

async function duplicate() {
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

async function remove() {
  try {
    await $fetch(`/api/packs/${id}`, { method: 'DELETE' })
    text.value = stored.value!.yaml
    await navigateTo('/library')
  } catch (error) {
    messages.say(issuesOf(error)[0]!.reason, 'refused')
  }
}

const LEAVE = 'What you wrote is not kept yet. Leave it?'
onBeforeRouteLeave(() => !changed.value || window.confirm(LEAVE))
useEventListener(window, 'beforeunload', event => {
  if (changed.value) event.preventDefault()
})
</script>

<template>
  <div>
    <LibraryHead :title="id">
      <NuxtLink to="/library" class="button no-underline">Library</NuxtLink>
      <template v-if="stored">
        <a class="button no-underline" :href="`/api/packs/${id}/file`" download>Export</a>
        <button class="button" @click="duplicate">Duplicate</button>
        <template v-if="!shipped">
          <button class="button" @click="removing = true">Remove</button>
          <button class="button" :disabled="!changed" @click="text = stored.yaml">Back to what is kept</button>
          <button
            class="button button-main"
            :disabled="!changed || saving || (looked && problems.length > 0)"
            @click="save"
          >
            {{ saving ? 'Keeping' : 'Keep it' }}
          </button>
        </template>
      </template>
    </LibraryHead>
    <SheetWithMargin
      v-model:open="marginOpen"
      :margin-title="looked && problems.length ? `${problems.length} wrong` : 'The plan it makes'"
    >
      <h1 class="sr-only">Layout {{ id }}</h1>
      <div v-if="failed" role="alert">
        <p>The layout could not be fetched.</p>
        <button class="button button-main mt-4" @click="load">Try again</button>
      </div>
      <p v-else-if="!stored" role="status">Fetching the layout</p>
      <template v-else>
        <p class="mb-2 text-quiet">
          <template v-if="shipped">This layout ships and is read here. Duplicate it to change it.</template>
          <template v-else
            >Every change is looked at as you type. <kbd class="figure">Ctrl S</kbd> keeps it; what is wrong is never
            kept.</template
          >
        </p>
        <ClientOnly
          ><PackEditor
            ref="editor"
            v-model="text"
            class="h-[calc(100dvh-12.5rem)] min-h-96 clear-both"
            :problems="problems"
            :readonly="shipped"
            :label="`Layout ${id} as YAML`"
            @save="save"
        /></ClientOnly>
      </template>
      <template #margin>
        <p
          role="status"
          class="mb-3 font-semibold"
          :class="!looked ? 'text-quiet' : problems.length ? 'text-danger' : 'text-good'"
          data-testid="verdict"
        >
          {{
            !looked
              ? 'Looking through it'
              : problems.length
                ? `${problems.length} ${problems.length === 1 ? 'thing is' : 'things are'} wrong`
                : 'Sound under every choice of options'
          }}
        </p>
        <ul v-if="looked && problems.length" class="ruled mb-5" data-testid="problems">
          <li v-for="(problem, index) in problems.slice(0, 12)" :key="index" class="py-2">
            <button class="w-full text-left" @click="editor?.goTo(problem.from)">
              <span class="figure text-sm text-quiet"
                >line {{ problem.line }}<template v-if="problem.path">, {{ problem.path }}</template></span
              >
              <span class="block">{{ t(problem.reason) }}</span>
            </button>
          </li>
          <li v-if="problems.length > 12" class="py-2 text-quiet">and {{ problems.length - 12 }} more</li>
        </ul>
        <div>
          <p v-if="looked && problems.length && preview" class="text-quiet">The plan as it was before:</p>
          <PreviewPanel :preview="preview" />
        </div>
      </template>
    </SheetWithMargin>
    <BaseDialog :open="removing" title="Remove this layout" @close="removing = false">
      <p>
        Jobs that were planned from it keep their work. The layout itself is gone; export it first if it may be wanted
        again.
      </p>
      <button class="button button-main button-big mt-5 w-full" @click="remove">Remove {{ id }}</button>
    </BaseDialog>
  </div>
</template>
