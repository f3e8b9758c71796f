import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { exampleJob, exampleWall } from '../../tests/fixtures/job'
import { planWall } from '../plan'
import { textToString, words } from '../units'
import { pieceOf, sayPiece } from './index'

describe('what a wall is fixed to', () => {
  it('is a stud, a joint, or nothing to be named', () => {
    const of = (kind: 'wood-stud' | 'steel-stud' | 'block' | 'concrete') =>
      pieceOf({ ...exampleWall(), structure: { kind } })
    expect([of('wood-stud'), of('steel-stud'), of('block'), of('concrete')]).toEqual([
      'stud',
      'stud',
      'joint',
      undefined,
    ])
    expect(textToString(sayPiece(words`Stud ${'4'} is in the stud bay at ${600}, on studs.`, 'batten'), 'metric')).toBe(
      'Batten 4 is in the bay between battens at 600 mm, on battens.',
    )
    const text = words`Stud ${'4'}`
    expect(sayPiece(text, 'stud')).toBe(text)
  })

  it('is a batten where the firm fixes into the furring only, in every finding and on the sheet', () => {
    const job = demoJob('stennick')
    const wall = { ...job.walls[0]!, rules: { ...job.walls[0]!.rules, furring: 'into-furring' as const } }
    const plan = planWall(wall, job)
    const told = [
      ...plan.findings.flatMap(({ message, remedy = [] }) => [message, remedy]),
      plan.nextProbe?.why ?? [],
    ].map(text => textToString(text, 'metric'))
    expect(plan.piece).toBe('batten')
    expect(told.filter(text => /\bbattens?\b/i.test(text)).length).toBeGreaterThan(0)
    expect(told.filter(text => /\bstuds?\b/i.test(text))).toEqual([])
    expect(planWall(exampleWall(), exampleJob()).piece).toBeUndefined()
  })
})
