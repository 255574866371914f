import { expect, it } from 'vitest'
import { CONTRACT } from '../../contracts/version'
import { hearContract, versionGap } from './version-gap'

const answer = (status: number, contract?: number) => ({
  status,
  headers: new Headers(contract === undefined ? {} : { 'x-eldrin-contract': String(contract) }),
})

it('knows which of the two is behind, until an answer is understood', () => {
  hearContract(answer(426, CONTRACT + 2))
  expect(versionGap.value).toBe('older')
  hearContract(answer(503))
  expect(versionGap.value).toBe('older')
  hearContract(answer(426, CONTRACT - 1))
  expect(versionGap.value).toBe('newer')
  hearContract(answer(200))
  expect(versionGap.value).toBeNull()
})
