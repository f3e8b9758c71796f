import { readdirSync, readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import {
  clash, differences, fieldTable, InvalidJob, jobJsonSchema, merge, readJob, validateJob, wallFaults, writeJob,
  type Fault, type Job,
} from './index'
import { cases } from '../../tests/fixtures/soak'

function faultsOf(change: (job: Job) => void) {
  const job = exampleJob()
  change(job)
  try {
    validateJob(job)
    return []
  }
  catch (error) {
    if (!(error instanceof InvalidJob)) throw error
    return error.faults
  }
}
const set = (target: object, values: object) => Object.assign(target, values)

describe('reading a job', () => {
  it('lets a good one through', () => expect(faultsOf(() => {})).toEqual([]))

  it('lists every fault with its path and what is wrong', () => {
    expect(
      faultsOf((job) => {
        set(job.walls[0]!, { width: -5, height: 'tall' })
        set(job.walls[0]!.arrays[0]!, { rows: 0, orientation: 'sideways' })
        set(job.catalogue.displays[0]!, { depth: undefined })
        set(job.walls[0]!.structure, { members: [{ centre: 100, width: 0 }] })
      }),
    ).toEqual(
      expect.arrayContaining([
        { path: '$.walls[0].width', message: 'must be more than 0, not -5' },
        { path: '$.walls[0].height', message: 'must be a number, not "tall"' },
        { path: '$.walls[0].arrays[0].rows', message: 'must be at least 1, not 0' },
        {
          path: '$.walls[0].arrays[0].orientation',
          message: 'must be one of landscape, portrait-cw, portrait-ccw, inverted, not "sideways"',
        },
        { path: '$.catalogue.displays[0].depth', message: 'is missing' },
        { path: '$.walls[0].structure.members[0].width', message: 'must be more than 0, not 0' },
      ]),
    )
  })

  it('refuses absurd sizes', () => {
    expect(faultsOf(job => set(job.walls[0]!, { width: 100_001 }))[0]!.message).toContain('at most 100 m')
    expect(faultsOf(job => set(job.walls[0]!.arrays[0]!, { rows: 51, columns: 50 })))
      .toEqual([{ path: '$.walls[0].arrays[0]', message: 'has 2550 screens; at most 2500 can be planned' }])
    // What a list holds that is too long is not looked at one by one: 1.4 million walls took 48 s, and now 0.1.
    expect(faultsOf(job => set(job, { walls: Array.from({ length: 1_400_000 }, () => 0) })))
      .toEqual([{ path: '$.walls', message: 'must have at most 200 entries, not 1400000' }])
  })

  it('refuses links that lead nowhere, ids used twice and plates outside the grid', () => {
    expect(
      faultsOf((job) => {
        job.walls.push(structuredClone(job.walls[0]!))
        set(job.walls[0]!.arrays[0]!, { display: 'gone', plates: [{ row: 3, column: 1, lateralShift: 4 }] })
        job.walls[0]!.evidence = [{ id: 'e1', method: 'magnet', x: 1, y: 1, reference: 'jamb' }]
      }).map(({ path }) => path),
    ).toEqual([
      '$.walls[1].id',
      '$.walls[0].arrays[0].display',
      '$.walls[0].evidence[0].reference',
      '$.walls[0].arrays[0].plates[0]',
    ])
  })

  it('names faults of its parts and faults between them together', () => {
    const paths = (change: (job: Job) => void) => faultsOf(change).map(({ path }) => path)
    expect(paths(({ walls: [wall] }) => {
      Object.assign(wall!, { width: -1 })
      Object.assign(wall!.arrays[0]!, { display: 'no-such-model' })
      wall!.evidence = [{ id: 'e1', method: 'magnet', x: 1, y: 1, side: 'back', reference: 'nowhere' }]
    })).toEqual(['$.walls[0].width', '$.walls[0].arrays[0].display', '$.walls[0].evidence[0].reference'])
    // What is no wall at all is told as that, and the rest of the file all the same.
    expect(paths((job) => {
      job.catalogue.displays.push(job.catalogue.displays[0]!)
      Object.assign(job, { walls: [job.walls[0], 7] })
    })).toEqual(['$.walls[1]', '$.catalogue.displays[1].id'])
  })

  it.each([['{', '$'], ['null', '$'], ['[]', '$'], ['"x"', '$']])('refuses %s', (text, path) => {
    expect(() => readJob(text)).toThrow(InvalidJob)
    try {
      readJob(text)
    }
    catch (error) {
      expect((error as InvalidJob).faults[0]!.path).toBe(path)
    }
  })
})

describe('writing a job', () => {
  it('gives the same bytes whatever the order of keys, and keeps what it does not know', () => {
    const job = exampleJob()
    const strange = {
      'x-crew': ['Isla'],
      ...job,
      'walls': job.walls.map(wall => ({
        note: { deep: [1, { two: 2 }] },
        ...Object.fromEntries(Object.entries(wall).reverse()),
      })),
    }
    const written = writeJob(validateJob(strange))
    expect(writeJob(readJob(written))).toBe(written)
    expect(JSON.parse(written)).toEqual(strange)
    expect(written.indexOf('"format"')).toBeLessThan(written.indexOf('"x-crew"'))
  })

  it('ships a demo that is already in the format’s own form', () => {
    const sites = readdirSync('demo').filter(
      file => file.endsWith('.json') && !['catalogue.json', 'programme.json'].includes(file),
    )
    expect(sites.length).toBeGreaterThan(2)
    for (const file of sites) {
      const text = readFileSync(`demo/${file}`, 'utf8')
      expect(writeJob(readJob(text))).toBe(text)
    }
  })
})

describe('laying one change on another', () => {
  it('keeps both where they touch different things, and mine where they touch the same', () => {
    const base = { w: 1, h: 1, gap: { x: 1, y: 1 }, arrays: [{ id: 'a', v: 1 }, { id: 'b', v: 1 }], members: [1, 2] }
    const mine = {
      ...base,
      w: 2,
      gap: { x: 5, y: 1 },
      arrays: [
        { id: 'a', v: 9 },
        { id: 'b', v: 1 },
        { id: 'm', v: 1 },
      ],
    }
    const theirs = {
      ...base,
      w: 3,
      h: 4,
      gap: { x: 1, y: 6 },
      arrays: [
        { id: 'a', v: 1 },
        { id: 't', v: 1 },
      ],
      members: [1],
    }
    expect(merge(base, mine, theirs)).toEqual({
      w: 2, h: 4, gap: { x: 5, y: 6 }, members: [1],
      arrays: [{ id: 'a', v: 9 }, { id: 't', v: 1 }, { id: 'm', v: 1 }],
    })
  })

  it('asks only where both changed the same to something else, or an order would be lost', () => {
    const base = { w: 1, gap: { x: 1, y: 1 }, arrays: [{ id: 'a', v: 1 }, { id: 'b', v: 1 }], members: [1, 2] }
    const [one, other] = [{ id: 'a', v: 1 }, { id: 'b', v: 1 }]
    const asks = (mine: object, theirs: object) => [
      clash(base, { ...base, ...mine }, { ...base, ...theirs }),
      clash(base, { ...base, ...theirs }, { ...base, ...mine }),
    ]
    expect(asks({ w: 2, gap: { x: 5, y: 1 } }, { gap: { x: 1, y: 6 }, members: [1] })).toEqual([false, false])
    expect(asks({ w: 2 }, { w: 2, h: 1 })).toEqual([false, false])
    expect(asks({ w: 2 }, { w: 3 })).toEqual([true, true])
    expect(asks({ w: undefined }, { w: 3 })).toEqual([true, true])
    expect(asks({ members: [1] }, { members: [2] })).toEqual([true, true])
    // Another screen, one that went, and one that was changed meanwhile.
    expect(asks({ arrays: [one, other, { id: 'm' }] }, { arrays: [{ ...one, v: 9 }, other, { id: 't' }] })).toEqual([
      false,
      false,
    ])
    expect(asks({ arrays: [other] }, { arrays: [one, { ...other, v: 9 }] })).toEqual([false, false])
    expect(asks({ arrays: [other] }, { arrays: [{ ...one, v: 9 }, other] })).toEqual([true, true])
    expect(asks({ arrays: [one, other, { id: 'm', v: 1 }] }, { arrays: [one, other, { id: 'm', v: 2 }] })).toEqual([
      true,
      true,
    ])
    // `merge` keeps their order: whoever put it in order is asked.
    expect(asks({ arrays: [other, one] }, { arrays: [one, other, { id: 't' }] })).toEqual([true, false])
  })

  it('never lets a change of either side go unasked', () => {
    const wall = fc.record({
      w: fc.nat(2),
      gap: fc.record({ x: fc.nat(2), y: fc.nat(2) }),
      arrays: fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c'), v: fc.nat(2) }), {
        selector: ({ id }) => id,
      }),
    })
    fc.assert(fc.property(wall, wall, wall, (base, mine, theirs) => {
      if (clash(base, mine, theirs)) return
      const both = merge(base, mine, theirs)
      // Laid the other way round it has the same in it; what only one side changed is as that side has it.
      const items = ({ arrays, ...rest }: typeof both) => ({
        ...rest,
        arrays: Object.fromEntries(arrays.map(each => [each.id, each.v])),
      })
      expect(items(both)).toEqual(items(merge(base, theirs, mine)))
      expect(both.w).toBe(mine.w === base.w ? theirs.w : mine.w)
      const ids = (tree: typeof base) => new Set(tree.arrays.map(({ id }) => id))
      for (const id of ids(mine)) if (!ids(base).has(id)) expect(ids(both).has(id)).toBe(true)
      for (const id of ids(base)) if (!ids(mine).has(id) || !ids(theirs).has(id)) expect(ids(both).has(id)).toBe(false)
    }), { numRuns: cases(400) })
  })

  it('is an exact undo when nothing came between, and changes nothing when nothing changed', () => {
    fc.assert(fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
      expect(merge(a, b, a)).toEqual(b)
      expect(merge(a, a, b)).toEqual(b)
    }))
  })

  it('names the places that differ', () => {
    expect(differences({ a: [{ b: 1 }, 2], c: 1 }, { a: [{ b: 2 }, 2], d: 1 })).toEqual(['a[0].b', 'c', 'd'])
  })
})

describe('a file of an earlier version', () => {
  const sign = exampleJob().walls[0]!.arrays[0]!
  const override = {
    code: 'capacity-not-known',
    subject: 'a1',
    by: 'Isla',
    reason: 'a letter',
    at: '2026-06-03T10:00:00Z',
    told: 'What lag is not known.',
  }
  const earlier = (change: object = {}) => {
    const job = exampleJob()
    const wall = {
      ...job.walls[0]!,
      arrays: [sign],
      alternative: 'a',
      alternatives: [
        { id: 'a', name: 'A' },
        {
          id: 'b',
          name: 'B',
          arrays: [
            { ...sign, rows: 1 },
            { ...sign, id: 'a1-2' },
          ],
        },
      ],
      overrides: [override, { ...override, subject: 'a2' }],
      ...change,
    }
    return {
      ...job,
      walls: [wall],
      log: [
        {
          id: 'override-w1-capacity-not-known',
          at: '2026-06-01T10:00:00Z',
          by: 'Odd',
          wall: 'w1',
          kind: 'hole',
          hole: 'h',
          x: 1,
          y: 2,
          result: 'hit',
        },
      ],
    }
  }

  it('has the arrays of its alternatives in one place under ids of their own, and its overrides in the log', () => {
    const { walls: [wall], log } = validateJob(earlier())
    expect(wall!.arrays.map(({ id, rows, alternative }) => [id, rows, alternative])).toEqual([
      ['a1', 2, 'a'],
      ['a1-2', 1, 'b'],
      ['a1-2-2', 2, 'b'],
    ])
    expect(wall!.alternatives).toEqual([{ id: 'a', name: 'A' }, { id: 'b', name: 'B' }])
    expect(wall).not.toHaveProperty('overrides')
    expect(log.slice(1)).toEqual(
      ['a1', 'a2'].map((subject, n) => ({
        id: `override-w1-capacity-not-known-${n + 2}`,
        kind: 'override',
        wall: 'w1',
        code: override.code,
        subject,
        by: 'Isla',
        reason: 'a letter',
        at: override.at,
      })),
    )
    expect(validateJob(validateJob(earlier()))).toEqual(validateJob(earlier()))
  })

  it('has its faults told where it has them', () => {
    const wrong = earlier({
      alternatives: [
        { id: 'a', name: 'A' },
        { id: 'b', name: 'B', arrays: [{ ...sign, rows: 0 }] },
      ],
      overrides: [{ ...override, at: 'then' }],
    })
    expect(() => validateJob(wrong)).toThrow(expect.objectContaining({ faults: [
      { path: '$.walls[0].alternatives[1].arrays[0].rows', message: 'must be at least 1, not 0' },
      { path: '$.walls[0].overrides[0].at', message: 'must be a date and time with time zone (ISO 8601)' },
    ] }))
  })
})

describe('an edit of a good wall', () => {
  const reading = (id: string, x: unknown = 5) => ({ id, method: 'magnet', x, y: 1500 })
  const wallOf = (...evidence: unknown[]) =>
    ({ ...exampleJob().walls[0]!, evidence }) as unknown as Job['walls'][number]

  it('has the same faults at the same places as one that is checked afresh', () => {
    const { catalogue } = exampleJob()
    const good = wallOf(reading('e1'), reading('e2'), reading('e3'))
    const byPath = (a: Fault, b: Fault) => a.path.localeCompare(b.path)
    for (const edited of [
      wallOf(reading('e1'), reading('e2'), reading('e3'), reading('e4', 'far')),
      wallOf(reading('e1'), reading('e2', null), reading('e3'), {}),
      wallOf(reading('e2'), reading('e3'), reading('e3')),
      wallOf(),
      { ...good, evidence: 'none', width: 0 } as unknown as Job['walls'][number],
    ]) expect(wallFaults(edited, catalogue, '$', good).sort(byPath)).toEqual(wallFaults(edited, catalogue).sort(byPath))
    expect(wallFaults(null, catalogue, '$', good)).toEqual(wallFaults(null, catalogue))
  })
})

describe('the published JSON Schema', () => {
  const published = JSON.parse(readFileSync('docs/job.schema.json', 'utf8')) as object
  const accepts = new Ajv({ allErrors: true, strict: true, strictRequired: false }).compile(published)

  it('is drawn from the rules as they stand, and so is the table of fields', () => {
    expect(published).toEqual(jobJsonSchema())
    expect(readFileSync('docs/fields.md', 'utf8')).toBe(fieldTable())
    expect(fieldTable()).toContain('| `vesa.offset.x` | mm | yes | Pattern right of case centre |')
    expect(fieldTable()).toContain(
      '| `result` | `hit`, `miss`, `void`, `steel`, `mortar`, `blown`, `stripped`, `other` | yes | Drilling result |',
    )
  })

  it('takes the demo and refuses what a reader refuses, at the same places', () => {
    expect(accepts(JSON.parse(readFileSync('demo/holm-point.json', 'utf8')))).toBe(true)
    const job = exampleJob()
    set(job.walls[0]!, { width: 0, name: '' })
    set(job.walls[0]!.arrays[0]!, { rows: 1.5, orientation: 'sideways' })
    set(job.catalogue.mounts[0]!.plate, { slots: [] })
    set(job.site, { id: 'Holm Point' })
    expect(accepts(job)).toBe(false)
    expect(
      accepts
        .errors!.map(({ instancePath }) => `$${instancePath.replace(/\/(\d+)/g, '[$1]').replaceAll('/', '.')}`)
        .sort(),
    ).toEqual([...new Set(faultsOf(other => Object.assign(other, job)).map(({ path }) => path))].sort())
  })
})
