import type { Page, Paper } from '../../core/formats'
import { saveFile } from '../links/save-file'

/** Saves sheets of a board as PDF; the part that makes it is fetched when it is asked for, and says where it was not. */
export function useCardPdf() {
  const busy = ref(false)
  const problem = ref('')
  async function savePdf(pages: Page[], paper: Paper, title: string, fileName: string) {
    busy.value = true
    problem.value = ''
    try {
      const { sheetsPdf } = await import('../drawing/card-pdf')
      saveFile(await sheetsPdf(pages, paper, title), fileName)
    } catch {
      problem.value = 'The part that makes the PDF could not be fetched. Nothing was lost; try again with signal.'
    } finally {
      busy.value = false
    }
  }
  return { busy, problem, savePdf }
}
