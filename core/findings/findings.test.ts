import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import type { CodeOf, Finding } from '../finding'
import { factsOf, withOverrides } from '../log'
import { plan } from '../plan'
import { textToString, words } from '../units'
import { FINDINGS, FINDINGS_BY_STAGE, findingKind, severityOf } from './index'
import { findingTable } from './table'

const sources = readdirSync('core', { recursive: true, encoding: 'utf8' })
  .filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.startsWith('findings/'))
  .map(file => readFileSync(join('core', file), 'utf8'))

describe('the table of findings', () => {
  it('has no code that nothing says, and each code once', () => {
    const said = (code: string) => sources.some(text => text.includes(`'${code}'`))
    expect(Object.keys(FINDINGS).filter(code => !said(code) && !code.startsWith('display-screw-too'))).toEqual([])
    const listed = Object.values(FINDINGS_BY_STAGE).flatMap(table => Object.keys(table))
    expect(new Set(listed).size).toBe(listed.length)
  })

  it('says of what the demo finds the severity that it has there', () => {
    const findings = (['holm-point', 'ravel-sands', 'stennick'] as const)
      .flatMap(site => plan(demoJob(site)).walls.flatMap(({ findings }) => findings))
    expect(findings.length).toBeGreaterThan(15)
    for (const { code, severity, overridden } of findings) {
      const { severity: listed } = FINDINGS[code]
      expect([listed].flat(), code).toContain(overridden ? 'stop' : severity)
    }
  })

  it('gives every stop and caution a cure, in sentences', () => {
    for (const [code, kind] of Object.entries(FINDINGS)) {
      const { severity, meaning, cure } = { cure: '', ...kind }
      expect(meaning, code).toMatch(/^[A-Z].*\.$/)
      if ([severity].flat().includes('stop')) expect(cure, code).toMatch(/^[A-Z].*\.$/)
    }
    expect([severityOf('members-overlap'), severityOf('outside')]).toEqual(['stop', 'note'])
    expect(findingKind('of-another-version')).toBeUndefined()
  })

  it('gives each place its severity: another one does not compile', () => {
    const about = { stage: 'mount', subject: { kind: 'wall', id: 'w1' }, message: words`Off the wall.` } as const
    const stop: Finding = { ...about, severity: 'stop', code: 'array-off-wall' }
    // @ts-expect-error the table lists a stop
    const caution: Finding = { ...about, severity: 'caution', code: 'array-off-wall' }
    expect([stop, caution].map(({ code }) => severityOf(code))).toEqual(['stop', 'stop'])
  })

  it('is what the paper says', () => expect(readFileSync('docs/findings.md', 'utf8')).toBe(findingTable()))
})

describe('a stop', () => {
  const stops = Object.keys(FINDINGS).filter(code =>
    [findingKind(code)!.severity].flat().includes('stop'),
  ) as CodeOf<'stop'>[]
  /** The stop as a stage says it of something, and as a person who may has overridden it. */
  const overridden = (code: CodeOf<'stop'>) => {
    const kind = findingKind(code)!
    const said: Finding = {
      severity: 'stop',
      code,
      stage: 'mount',
      subject: { kind: 'screen', id: 'a1-r1c1' },
      message: words`R1 C1 is ${12} off.`,
      ...(kind.never && { never: true as const }),
    }
    const override = {
      code, subject: 'a1-r1c1', by: 'Isla', reason: 'seen on site', at: '2026-11-12T09:00:00Z', facts: factsOf(said),
    }
    return withOverrides([said], [override], { id: 'w1' })
  }

  it('of every code in the index has a cure, and an override by a named person where it may be overridden', () => {
    expect(stops.length).toBeGreaterThan(90)
    for (const code of stops) {
      expect(findingKind(code)!.cure, code).toMatch(/^[A-Z].*\.$/)
      const [finding] = overridden(code)
      const { never } = findingKind(code)!
      expect([finding!.severity, finding!.overridden?.by], code).toEqual(
        never ? ['stop', undefined] : ['caution', 'Isla'],
      )
    }
  })

  it('leads, on the wall, to a cure that the plan itself states: a sentence of what to do', () => {
    const said = (['holm-point', 'ravel-sands', 'stennick'] as const)
      .flatMap(site => plan(demoJob(site)).walls.flatMap(({ findings }) => findings))
    for (const { code, severity, remedy } of said.filter(each => each.severity === 'stop')) {
      expect([severity, textToString(remedy ?? [], 'metric')], code).toEqual([
        'stop',
        expect.stringMatching(/^[A-Z].*\.$/s),
      ])
    }
  })
})

describe('a stop that is never overridden', () => {
  it('is one of a few, and says so itself; an override of it does not hold', () => {
    const never = Object.keys(FINDINGS).filter(code => findingKind(code)!.never)
    const kept = [
      'hole-near-live-cable', 'hole-near-pipe', 'hole-not-known', 'display-screw-too-long',
      'cord-in-wall', 'steel-met',
    ]
    expect(never).toEqual(kept)
    const job = exampleJob()
    job.walls[0]!.arrays[0]!.screw = 60
    const screw = () => plan(job).walls[0]!.findings.find(({ code }) => code === 'display-screw-too-long')
    expect(screw()).toMatchObject({ severity: 'stop', never: true })
    const said = { id: 'l1', at: '2026-11-12T09:00:00Z', by: 'Isla', wall: 'w1', reason: 'Cut to length' }
    job.log.push({ ...said, kind: 'override', code: 'display-screw-too-long', subject: screw()!.subject.id })
    expect(screw()).toMatchObject({ severity: 'stop', never: true })
  })
})
