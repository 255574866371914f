<script setup lang="ts">
import { indentWithTab } from '@codemirror/commands'
import { yaml } from '@codemirror/lang-yaml'
import { HighlightStyle, syntaxHighlighting } from '@codemirror/language'
import { lintGutter, setDiagnostics } from '@codemirror/lint'
import { EditorState } from '@codemirror/state'
import { EditorView, keymap } from '@codemirror/view'
import { tags } from '@lezer/highlight'
import { basicSetup } from 'codemirror'
import type { PackProblem } from '../../../contracts/read-pack'

/** A text editor for a pack. Problems are marked where they stand; Escape then Tab leaves it. */
const props = defineProps<{ problems: PackProblem[]; readonly: boolean; label: string }>()
const model = defineModel<string>({ required: true })
const emit = defineEmits<{ save: [] }>()
const host = useTemplateRef('host')
let view: EditorView | null = null

const look = EditorView.theme({
  '&': { fontSize: '15px', backgroundColor: 'var(--sheet)', color: 'var(--ink)', height: '100%' },
  '.cm-scroller': { fontFamily: 'var(--font-figure)', lineHeight: '1.5' },
  '.cm-gutters': { backgroundColor: 'var(--paper)', color: 'var(--quiet)', borderRight: '1px solid var(--rule)' },
  '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'color-mix(in srgb, var(--tint) 60%, transparent)' },
  '.cm-selectionBackground, &.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground': {
    backgroundColor: 'var(--tint)',
  },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
  '.cm-tooltip, .cm-panels': { backgroundColor: 'var(--paper)', color: 'var(--ink)', border: '1px solid var(--ink)' },
  '.cm-diagnostic-error': { borderLeftColor: 'var(--danger)' },
})

const colours = syntaxHighlighting(
  HighlightStyle.define([
    { tag: [tags.definition(tags.propertyName), tags.propertyName], color: 'var(--action)' },
    { tag: [tags.comment, tags.meta], color: 'var(--quiet)', fontStyle: 'italic' },
    { tag: [tags.string, tags.content, tags.number, tags.bool], color: 'var(--ink)' },
    { tag: [tags.punctuation, tags.separator, tags.brace, tags.squareBracket], color: 'var(--quiet)' },
  ]),
)

onMounted(() => {
  view = new EditorView({
    parent: host.value!,
    state: EditorState.create({
      doc: model.value,
      extensions: [
        colours,
        basicSetup,
        yaml(),
        lintGutter(),
        look,
        EditorView.lineWrapping,
        EditorState.readOnly.of(props.readonly),
        EditorState.tabSize.of(2),
        EditorView.contentAttributes.of({ 'aria-label': props.label }),
        keymap.of([
          indentWithTab,
          {
            key: 'Mod-s',
            preventDefault: true,
            run: () => {
              emit('save')
              return true
            },
          },
        ]),
        EditorView.updateListener.of(update => {
          if (update.docChanged) model.value = update.state.doc.toString()
        }),
      ],
    }),
  })
  view.scrollDOM.tabIndex = 0
  mark()
})
onUnmounted(() => view?.destroy())

function mark() {
  if (!view) return
  const end = view.state.doc.length
  const diagnostics = props.problems.map(({ from, to, path, reason }) => ({
    from: Math.min(from, end),
    to: Math.min(to, end),
    severity: 'error' as const,
    message: path ? `${path}: ${reason}` : reason,
  }))
  view.dispatch(setDiagnostics(view.state, diagnostics))
}
watch(() => props.problems, mark)
watch(model, text => {
  if (view && text !== view.state.doc.toString())
    view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: text } })
})

/** Puts the cursor to a place in the text and shows it. */
function goTo(position: number) {
  if (!view) return
  const at = Math.min(position, view.state.doc.length)
  view.dispatch({ selection: { anchor: at }, effects: EditorView.scrollIntoView(at, { y: 'center' }) })
  view.focus()
}
defineExpose({ goTo })
</script>

<template>
  <div ref="host" class="min-h-0 overflow-hidden border-2 border-line" data-testid="pack-editor" />
</template>
