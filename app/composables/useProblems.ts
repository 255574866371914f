import { nextTick, ref } from 'vue'

/** What may be wrong with a field: a sentence, or nothing. */
type Found = Record<string, string | null | undefined | false>

/** What is wrong in a form, by field, as its `Field`s show it; under `form` what concerns all of it. */
export function useProblems() {
  const problems = ref<Record<string, string>>({})

  /** Shows what was found, and leads to the first field that is marked, in the form that was sent. @returns whether there was nothing */
  function allGood(found: Found): boolean {
    problems.value = Object.fromEntries(Object.entries(found).filter((entry): entry is [string, string] => !!entry[1]))
    if (Object.keys(problems.value).length === 0) return true
    const form = document.activeElement?.closest('form') ?? document
    void nextTick(() => form.querySelector<HTMLElement>('[aria-invalid=true]')?.focus())
    return false
  }
  return { problems, allGood }
}
