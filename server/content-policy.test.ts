import { createHash } from 'node:crypto'
import { expect, it } from 'vitest'
import { contentPolicy } from './content-policy'

const hash = (script: string) => `'sha256-${createHash('sha256').update(script).digest('base64')}'`

// Standard: Content Security Policy Level 3, hash sources.
it('lets the scripts of the page run by their words, and no other', () => {
  const page =
    '<script src="/a.js"></script><script>one()</script><script type="module">two()</script><script> </script>'
  expect(contentPolicy(page)).toContain(`script-src 'self' ${hash('one()')} ${hash('two()')};`)
  expect(contentPolicy(page.replace('one()', 'another()'))).not.toContain(hash('one()'))
})
it('lets none run where there is none', () => {
  expect(contentPolicy()).toContain("script-src 'self';")
})
