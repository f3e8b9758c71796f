import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

interface Locked { license?: string, dev?: boolean }

/** Licences under which a package may go into what firms run: free of charge, for any firm, whatever its turnover. */
const FREE = new Set([
  '0BSD', 'Apache-2.0', 'BlueOak-1.0.0', 'BSD-2-Clause', 'BSD-3-Clause', 'CC-BY-4.0', 'CC0-1.0', 'ISC',
  'LGPL-3.0-or-later', 'MIT', 'MPL-2.0', 'OFL-1.1', 'Python-2.0',
])
/** Packages that name their licence elsewhere, each with what was read there. */
const READ: Record<string, string> = {
  'dejavu-fonts-ttf': 'Bitstream Vera and Arev: fonts may be shipped in a program',
  'png-js': 'MIT, in its LICENSE file',
}

/** Whether a licence is free: of alternatives one has to be, of several together each. */
const isFree = (licence: string): boolean =>
  licence.replace(/[()]/g, '').split(' OR ').some(one => one.split(' AND ').every(each => FREE.has(each)))

it('ships only packages that any firm may use free of charge', () => {
  const asked = ['MIT OR GPL-2.0', 'MIT AND GPL-2.0', 'SEE LICENSE IN LICENSE']
  expect(asked.map(isFree)).toEqual([true, false, false])
  const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, Locked> }
  const wrong = Object.entries(lock.packages)
    .filter(([path, { dev }]) => path !== '' && !dev)
    .map(([path, { license = 'none' }]) => ({ name: path.replace(/.*node_modules\//, ''), license }))
    .filter(({ name, license }) => !isFree(license) && !Object.hasOwn(READ, name))
  expect(wrong).toEqual([])
})
