import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { FASTENER_KIND_NAMES } from '../../core/fastening/kinds'
import { MOUNT_KIND_NAMES } from '../../core/mount/kinds'
import { RUN_STEP_KINDS } from '../../core/log'

const FOLDERS = ['core', 'app', 'server', 'cli']
/** Where a kind's own file and the list of kinds are. */
const REGISTRIES = [
  'core/fastening/kinds/', 'core/mount/kinds/', 'core/log/kinds/', 'core/log/schemas/', 'core/log/stepRef.ts',
]
const sources = FOLDERS.flatMap(folder => readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter(file => /\.(ts|vue)$/.test(file) && !file.endsWith('.test.ts')).map(file => join(folder, file)))
  .filter(file => !REGISTRIES.some(registry => file.startsWith(registry)))
  .map(file => ({ file, text: readFileSync(file, 'utf8') }))

/** Where a text is compared with one of some names, or a case of a switch is one. */
function comparedWith(names: readonly string[], of: string) {
  const one = names.join('|')
  const compared = new RegExp(`(${of})\\W{0,3}\\s*[=!]==\\s*'(${one})'|'(${one})'\\s*[=!]==\\s*\\w*\\.?(${of})`, 'g')
  return sources.flatMap(({ file, text }) => [...text.matchAll(compared)].map(([found]) => `${file}: ${found}`))
}

describe('what is particular to a kind is in its own file', () => {
  it('of mounts: nothing asks whether one is of a kind by its name', () => {
    expect(comparedWith(MOUNT_KIND_NAMES, '[mM]ount(?:ing)?!?\\??\\.kind')).toEqual([])
  })

  it('of fasteners: their names stand nowhere else but where a choice is named', () => {
    const named = new RegExp(`'(${FASTENER_KIND_NAMES.filter(name => name.includes('-')).join('|')})'`)
    const found = sources.filter(({ text }) => named.test(text)).map(({ file }) => file)
    expect(found).toEqual(['core/job/choiceNames.ts'])
  })

  it('of steps: kind and id are put together and taken apart in one place', () => {
    const put = new RegExp(`['\`](${[...RUN_STEP_KINDS, 'kit', 'ask', 'task'].join('|')}):[\\w$]`)
    expect(sources.filter(({ text }) => put.test(text)).map(({ file }) => file)).toEqual([])
  })
})
