import type { PackFault } from './check-pack'
import type { RefitOverride } from '../pack/operations'
import type { Pack } from '../pack/pack'
import type { Tool } from '../pack/things'

/** The work of a step in words, and the tools it names. */
interface ToolStep {
  path: string
  title: string
  skill: string
  tools: string[]
}

/**
 * Where words and tools of a step do not agree: a word of the table without its tool, an extension or a joint that fits nothing
 * the step turns it with.
 */
export function checkTools(pack: Pack): PackFault[] {
  const tools = new Map(pack.tools.map(tool => [tool.id, tool]))
  return stepsOf(pack).flatMap(step => [...missingTools(pack, step), ...misfits(step, tools)])
}

function stepsOf(pack: Pack): ToolStep[] {
  return pack.modules.flatMap(module =>
    module.operations.flatMap((operation): ToolStep[] => {
      const path = `modules[${module.id}].operations[${operation.id}]`
      const override: RefitOverride | null = operation.refit.kind === 'mirror' ? operation.refit.override : null
      return [
        { path: `${path}.tools`, title: operation.title, skill: operation.skill ?? '', tools: operation.tools },
        ...(override
          ? [
              {
                path: `${path}.refit.tools`,
                title: override.title,
                skill: override.skill ?? '',
                tools: override.tools ?? operation.tools,
              },
            ]
          : []),
      ]
    }),
  )
}

function missingTools(pack: Pack, { path, title, tools }: ToolStep): PackFault[] {
  const text = title.toLowerCase().replaceAll(/[{}]/g, '')
  return (pack.toolWords ?? []).flatMap(({ word, tools: wanted }) =>
    wordStands(text, word.toLowerCase()) && !wanted.some(id => tools.includes(id))
      ? [{ path, reason: `the text speaks of "${word}", so the step names one of: ${wanted.join(', ')}` }]
      : [],
  )
}

/** A word stands where a text begins one of its words with it. */
function wordStands(text: string, word: string): boolean {
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1))
    if (at === 0 || !/[\w-]/.test(text[at - 1]!)) return true
  return false
}

function misfits({ path, tools: ids }: ToolStep, tools: Map<string, Tool>): PackFault[] {
  const named = ids.flatMap(id => tools.get(id) ?? [])
  const turners = new Set(named.flatMap(tool => tool.drive ?? []))
  return named.flatMap(tool =>
    tool.drives && !turners.has(tool.drives)
      ? [
          {
            path,
            reason: `"${tool.id}" wants a square of ${tool.drives} in, and the step turns with ${[...turners].join(', ') || 'nothing'}`,
          },
        ]
      : [],
  )
}
