import { describe, expect, it } from 'vitest'
import { RUN_STEP_KINDS, stepName, stepOf } from './index'

describe('a step as a log entry names it', () => {
  it('is told by its kind and its id, whatever the id is', () => {
    for (const kind of [...RUN_STEP_KINDS, 'kit', 'ask', 'task'] as const) {
      for (const id of ['a1', 'a1-r1c1', 'with: colon', '']) {
        expect(stepOf(stepName({ kind, id }))).toEqual({ kind, id })
      }
    }
    expect(stepName({ kind: 'plates', id: 'a1' })).toBe('plates:a1')
  })

  it('is none where no version has named one so', () => {
    expect([stepOf('polish:a1'), stepOf('plates'), stepOf('')]).toEqual([undefined, undefined, undefined])
  })
})
