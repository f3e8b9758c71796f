import { expect, it } from 'vitest'
import { passwordFault } from './passwords'

const says = (password: unknown) => passwordFault('$.password', password).map(({ message }) => message).join()

it('a password has twelve characters that are not all alike', () => {
  expect(says('short words')).toMatch(/12 to 200 characters/)
  expect([undefined, 12, 'x'.repeat(201)].map(says)).toEqual(Array(3).fill(expect.stringMatching(/12 to 200/)))
  const alike = [' '.repeat(12), 'aaaaaaaaaaaa', 'abababababab', 'ab  ab  ab  ab']
  for (const each of alike) expect(says(each)).toMatch(/different characters/)
})

it('is none that is tried first, whatever figures and signs are hung on it', () => {
  for (const common of ['qwerty123456', 'Password2026!', 'PASSWORD1234', '123456qwerty', '!!Qwertyuiop99']) {
    expect([common, says(common)]).toEqual([common, expect.stringMatching(/first that are tried/)])
  }
  const good = ['tide cranes quietly', 'Rørvik-slipway-42', 'plumb line 9 knots']
  for (const each of good) expect([each, says(each)]).toEqual([each, ''])
})
