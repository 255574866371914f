/** The page does not say what it was made with. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    if (response.headers) delete response.headers['x-powered-by']
  })
})
