import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ValidationError } from 'yup'
import { exampleJob, exampleWall } from '../../tests/fixtures/job'
import { schemaFaults } from './check'
import { InvalidJob } from './fault'
import { jobSchema } from './job'
import { soundJsonFault } from './soundJson'
import { validateJob } from './validate'
import { cases } from '../../tests/fixtures/soak'

/** The same by yup alone, which reads everything before it answers. */
function byYup(value: unknown): string[] {
  try {
    jobSchema.validateSync(value, { strict: true, abortEarly: false })
    return []
  }
  catch (error) {
    const { inner, path, errors } = error as ValidationError
    return (inner.length > 0 ? inner : [{ path, errors }]).map(
      ({ path, errors }) => `${path ? `$.${path}` : '$'} ${errors.join('; ')}`,
    )
  }
}

/** A job with nearly everything in it that a schema speaks of. */
function fullJob() {
  const wall = {
    ...exampleWall(),
    evidence: [{ id: 'e1', method: 'magnet', x: 1, y: 2 }],
    features: [{ id: 'f1', kind: 'outlet', x: 1, y: 2, width: 3, height: 4 }],
    blocking: [{ id: 'b', y: 3, found: true }],
    surface: [{ x: 1, y: 1, distance: 2 }],
  }
  const at = { at: '2026-11-20T09:00:00Z', by: 'Odd', wall: 'w1' }
  return {
    ...exampleJob(),
    walls: [wall],
    log: [
      { id: 'l1', ...at, kind: 'hole', hole: 'h', x: 1, y: 2, result: 'hit' },
      {
        id: 'l2',
        ...at,
        kind: 'seams',
        array: 'a1',
        round: 1,
        gaps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: 1.8 }],
      },
    ],
  }
}

/** Every place in a value, as the keys that lead there. */
function places(value: unknown, way: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [way]
  return [way, ...Object.entries(value).flatMap(([key, part]) => places(part, [...way, key]))]
}
function changed(value: unknown, [key, ...rest]: string[], junk: unknown): unknown {
  if (key === undefined) return junk
  const copy = (Array.isArray(value) ? [...value] : { ...value as object }) as Record<string, unknown>
  if (rest.length === 0 && junk === undefined) Reflect.deleteProperty(copy, key)
  else copy[key] = changed(copy[key], rest, junk)
  return copy
}

describe('checking by a schema', () => {
  it('says what yup says, whatever is wrong and however much of it', () => {
    const all = places(fullJob()).filter(way => way.length > 0)
    const junk = fc.constantFrom<unknown>(
      undefined,
      null,
      '',
      ' x',
      'x',
      0,
      -1,
      1.5,
      1e9,
      Number.NaN,
      true,
      {},
      [],
      [null],
      [{}],
      'a\nb',
      'y'.repeat(201),
    )
    fc.assert(fc.property(fc.array(fc.tuple(fc.constantFrom(...all), junk), { maxLength: 4 }), (changes) => {
      const job = changes.reduce((job, [way, junk]) => {
        try {
          return changed(job, way, junk)
        }
        catch {
          // What a change before it took away cannot be changed.
          return job
        }
      }, fullJob() as unknown)
      expect(
        schemaFaults(jobSchema, job, '$')
          .map(({ path, message }) => `${path} ${message}`)
          .sort(),
      ).toEqual(byYup(job).sort())
    }), { numRuns: cases(400) })
  })

  it('stops after a hundred faults, and counts a list before it reads it', () => {
    const job = { ...exampleJob(), log: Array.from({ length: 20_000 }, () => ({})) }
    expect(schemaFaults(jobSchema, job, '$')).toHaveLength(100)
    const long = { ...exampleJob(), log: Array.from({ length: 100_001 }, () => ({})) }
    expect(schemaFaults(jobSchema, long, '$')).toEqual([
      { path: '$.log', message: 'must have at most 100000 entries, not 100001' },
    ])
    expect(() => validateJob(job)).toThrow(InvalidJob)
  })
})

describe('what is read from JSON', () => {
  const of = (text: string) => soundJsonFault(JSON.parse(text))

  it('lies at most 64 levels deep', () => {
    const nested = (levels: number) => `${'['.repeat(levels)}${']'.repeat(levels)}`
    expect(of(nested(64))).toBeUndefined()
    expect(of(nested(66))!.message).toBe('is nested deeper than 64 levels')
    expect(of(nested(200_000))!.message).toBe('is nested deeper than 64 levels')
  })

  it('has no half characters, control characters or keys that cannot be kept', () => {
    expect(of('{"site":{"name":"Pier\\u0000"}}')).toEqual({
      path: '$.site.name',
      message: 'contains a control character (U+0000)',
    })
    expect(of('["\\ud83d"]')).toEqual({ path: '$[0]', message: 'contains half a character (a lone surrogate)' })
    expect(of('["\\ude00\\ud83d"]')!.path).toBe('$[0]')
    expect(of('{"__proto__":{"x":1}}')).toEqual({ path: '$.__proto__', message: 'is a key that is not allowed' })
    expect(of('{"a\\u0007":1}')!.message).toContain('U+0007')
    for (const fine of ['["\\ud83d\\ude00 line\\n\\ttab", "Ærø", "ﷺ"]', '{"constructor":1,"toString":"x"}'])
      expect(of(fine)).toBeUndefined()
  })
})

describe('the limits of a wall', () => {
  const faults = (change: (wall: ReturnType<typeof exampleWall>) => void) => {
    const job = exampleJob()
    change(job.walls[0]!)
    try {
      validateJob(job)
      return []
    }
    catch (error) {
      return (error as InvalidJob).faults.map(({ path, message }) => `${path} ${message}`)
    }
  }

  it('are the same for screens in one array as in many', () => {
    const grids = (...sizes: [number, number, string?][]) => faults((wall) => {
      wall.alternatives = [{ id: 'one', name: 'One' }, { id: 'two', name: 'Two' }]
      wall.arrays = sizes.map(([rows, columns, alternative], n) => ({
        ...wall.arrays[0]!,
        id: `a${n}`,
        rows,
        columns,
        ...(alternative && { alternative }),
      }))
    })
    expect(grids([50, 25], [50, 25])).toEqual([])
    expect(grids([50, 25], [50, 25], [1, 1])).toEqual([
      '$.walls[0].arrays have 2501 screens in total; at most 2500 can be planned on one wall',
    ])
    // Alternatives stand in each other’s place; what belongs to all counts with each.
    expect(grids([50, 25], [50, 25, 'one'], [50, 25, 'two'])).toEqual([])
    expect(grids([50, 25], [50, 25, 'one'], [50, 26, 'two'])).toHaveLength(1)
  })

  it('let no member be wider than 200 mm', () => {
    expect(
      faults((wall) => {
        wall.structure.memberWidth = 201
      }),
    ).toEqual(['$.walls[0].structure.memberWidth must be at most 200 mm, not 201'])
    expect(
      faults((wall) => {
        wall.structure.members = [
          { centre: 300, width: 200 },
          { centre: 900, width: 200.5 },
        ]
      }),
    ).toEqual(['$.walls[0].structure.members[1].width must be at most 200 mm, not 200.5'])
  })
})
