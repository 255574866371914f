import { steadyPress } from '../touch/steady-press'
import { typed } from '../touch/typed'

/** What a hand does to a page counts, whatever the page does meanwhile. */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.directive('typed', typed)
  steadyPress(document)
})
