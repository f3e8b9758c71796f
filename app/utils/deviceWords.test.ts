import { expect, it } from 'vitest'
import { deviceWords } from './deviceWords'

it('says what kind of device is signed in, and what is not known as it came', () => {
  expect(
    [
      'Mozilla/5.0 (Mobile; rv:140.0)',
      'Mozilla/5.0 (Tablet; rv:140.0) Mobile',
      'Mozilla/5.0 (X11; rv:140.0)',
      'a script of ours',
    ].map(deviceWords),
  ).toEqual(['Phone', 'Tablet', 'Computer', 'a script of ours'])
})
