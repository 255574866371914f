import { expect, it } from 'vitest'
import { wantUncommon } from './tried-first'

it('refuses what is tried first, also with numbers at its end, and nothing else', () => {
  for (const password of ['1234567890', 'Qwertyuiop', 'password2024', 'PASSWORD12'])
    expect(() => wantUncommon(password), password).toThrow('tried first')
  for (const password of ['a lamp under a van', 'four words in a row', 'dowel-sits-tight'])
    expect(() => wantUncommon(password), password).not.toThrow()
})
