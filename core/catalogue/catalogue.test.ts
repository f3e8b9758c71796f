import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, m1 } from '../../tests/fixtures/job'
import type { Catalogue, Fastener, Mount } from '../job'
import {
  fieldsOf, judgeModelRows, judgeModels, MODEL_KINDS, modelFaults, modelsOf, modelsToRows, newestOf,
  nextRevision, offered, readField, setAt, standingOf, valueAt, writeField, type Model, type ModelKind,
} from './index'

const shipped = JSON.parse(readFileSync('demo/catalogue.json', 'utf8')) as Catalogue
const field = (kind: ModelKind, path: string) => fieldsOf(kind).find(field => field.path === path)!

describe('the shipped catalogue', () => {
  it('has nothing that cannot be, and enough to work with', () => {
    for (const kind of MODEL_KINDS)
      for (const model of modelsOf(shipped, kind)) expect([model.id, modelFaults(kind, model)]).toEqual([model.id, []])
    expect(MODEL_KINDS.map(kind => modelsOf(shipped, kind).length)).toEqual([12, 9, 19, 4, 11, 19])
    expect(new Set(shipped.mounts.map(({ kind }) => kind))).toEqual(new Set(['pull-out', 'fixed', 'tilt', 'arm']))
    expect(shipped.displays.some(({ vesa }) => vesa.offset.y !== 0)).toBe(true)
    expect(shipped.displays.some(({ back }) => back?.profile === 'recessed')).toBe(true)
  })
})

describe('a table of models', () => {
  it.each(MODEL_KINDS)('gives every %s back as it was', (kind) => {
    // How many are in stock is beside the figures, and in no table.
    const models = (modelsOf(shipped, kind) as (Model & { stock?: number })[]).map(
      ({ stock: _, ...model }) => model as Model,
    )
    const verdicts = judgeModelRows(kind, modelsToRows(kind, models), models)
    expect(verdicts.map(({ becomes }) => becomes)).toEqual(models.map(() => 'same'))
    const asNew = judgeModelRows(kind, modelsToRows(kind, models), [])
    expect(asNew.map(({ model }) => model)).toEqual(models)
  })

  it('says of each row what it becomes, and every fault of a bad one', () => {
    const [row] = modelsToRows('display', [d46])
    const verdicts = judgeModelRows('display', [
      { ...row, width: '40 1/4"' }, { ...row, id: 'new' }, { ...row, 'id': 'bad', 'mass': 'heavy', 'bezel.left': '' },
      { ...row, 'id': 'wide', 'bezel.left': '900', 'bezel.right': '200' }, { ...row, id: 'new' }, { ...row, id: '' },
    ], [d46])
    expect(verdicts.map(({ becomes }) => becomes)).toEqual([
      'changed',
      'added',
      'refused',
      'refused',
      'refused',
      'refused',
    ])
    expect(verdicts[0]!.model).toMatchObject({ id: 'd46', width: expect.closeTo(1022.35, 9), mass: 21.5 })
    expect(verdicts[2]!.message).toBe('Mass: “heavy” is not a number; Left bezel: Left bezel is required.')
    expect(verdicts[3]!.message).toContain('leave no picture')
    expect(verdicts[4]!.message).toContain('id “new” appears twice in this table')
  })

  it('judges models of a file alike, whatever is in it', () => {
    expect(
      judgeModels('mount', [m1, { ...m1, mass: 13 }, null, 7, { id: 'x' }], []).map(({ becomes }) => becomes),
    ).toEqual(['added', 'refused', 'refused', 'refused', 'refused'])
    fc.assert(fc.property(fc.array(fc.anything(), { maxLength: 4 }), (models) => {
      expect(judgeModels('fastener', models, []).every(({ becomes }) => becomes === 'refused')).toBe(true)
    }))
  })
})

describe('a figure of a model', () => {
  it.each([
    ['display', 'width', '40 1/2"', 1028.7],
    ['display', 'vesa.thread', '', undefined],
    ['display', 'ports', 'left; bottom', ['left', 'bottom']],
    ['display', 'resolution.x', '1920', 1920],
    ['mount', 'needs.rows', 'top; bottom', ['top', 'bottom']],
    ['screwKit', 'lengths', '10; 12,5', [10, 12.5]],
    ['mount', 'plate.slots', 'top 210 -240 -30 10', [{ row: 'top', y: 210, x1: -240, x2: -30, diameter: 10 }]],
    [
      'mount',
      'otherNeeds',
      '1: top, bottom: 24; 2: top',
      [
        { members: 1, rows: ['top', 'bottom'], capacity: 24 },
        { members: 2, rows: ['top'] },
      ],
    ],
  ] as const)('%s %s is read from “%s”', (kind, path, text, value) =>
    expect(readField(field(kind, path), text)).toEqual({ ok: true, value }),
  )

  it.each([
    ['display', 'width', '', 'Width is required'],
    ['display', 'mass', '-x', '“-x” is not a number'],
    ['display', 'ports', 'front', '“front” must be one of top, right, bottom, left'],
    ['display', 'resolution.x', '1920.5', '“1920.5” is not a whole number'],
    ['mount', 'plate.slots', 'top 210 -240', 'is not a slot'],
    ['mount', 'otherNeeds', 'top', 'is not a slot pattern'],
    ['mount', 'plate.slots', 'top a b c d', '“a” is not a number'],
  ] as const)('%s %s is refused as “%s”', (kind, path, text, message) => {
    const read = readField(field(kind, path), text)
    expect(!read.ok && read.message).toContain(message)
  })

  it('has a mass in pounds where inches are read, and keeps it in kilograms', () => {
    const capacity = field('mount', 'capacity')
    expect([writeField(capacity, 56, 'imperial'), writeField(capacity, 56)]).toEqual(['123.5', '56'])
    expect(readField(capacity, '100', 'imperial')).toEqual({ ok: true, value: expect.closeTo(45.359237, 6) })
    expect(readField(capacity, '100')).toEqual({ ok: true, value: 100 })
  })

  it('is written so that it is read again as it was, in either unit', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 60_000 }), fc.constantFrom('metric', 'imperial'), (n, system) => {
      const mm = system === 'metric' ? n / 10 : n * 25.4 / 32
      const read = readField(field('display', 'width'), writeField(field('display', 'width'), mm, system), system)
      expect(read.ok && read.value).toBeCloseTo(mm, 6)
    }))
  })

  it('is put in its place, and taken out with what it leaves empty', () => {
    const model: Record<string, unknown> = { id: 'a' }
    setAt(model, 'vesa.offset.x', 3)
    expect(valueAt(model, 'vesa.offset.x')).toBe(3)
    setAt(model, 'vesa.offset.x', undefined)
    expect(model).toEqual({ id: 'a' })
    expect(valueAt(model, 'vesa.offset.x')).toBeUndefined()
  })
})

describe('what cannot be', () => {
  const faultsOf = (change: Partial<Mount>) =>
    modelFaults('mount', { ...m1, ...change }).map(({ path, message }) => [path, message])
  it('is refused of a mount: a slot off its plate, a row it has not, a pull-out that stays in', () => {
    const [first, ...rest] = m1.plate.slots
    expect(faultsOf({ plate: { ...m1.plate, slots: [{ ...first!, x1: -270, y: 240 }, ...rest] } })).toEqual([
      ['$.plate.slots[0]', expect.stringContaining('15 mm')], ['$.plate.slots[0]', expect.stringContaining('5 mm')],
    ])
    expect(faultsOf({ needs: { members: 2, rows: ['top', 'side'] } })[0]![1]).toBe(
      'The plate has no row “side”; its rows are top, bottom',
    )
    expect(faultsOf({ depth: { stowed: 58, service: 58 } })[0]![0]).toBe('$.depth.service')
    expect(faultsOf({ capacity: -1 })[0]![0]).toBe('$.capacity')
  })
  it('is refused of a fastener', () => {
    const lag: Fastener = {
      id: 'l',
      kind: 'lag-screw',
      base: 'wood-stud',
      diameter: 8,
      length: 50,
      root: 9,
      thread: 60,
    }
    expect(modelFaults('fastener', lag).map(({ path }) => path)).toEqual(['$.yield', '$.root', '$.thread'])
  })
})

describe('revisions', () => {
  const line = [
    { id: 'a' },
    { id: 'a.r2', supersedes: 'a' },
    { id: 'b', retired: true },
    { id: 'a.r3', supersedes: 'a.r2' },
  ]
  it('are numbered on, and the newest is found from any', () => {
    expect(nextRevision('a', line.map(({ id }) => id))).toBe('a.r4')
    expect(nextRevision('a.r2', ['a', 'a.r2'])).toBe('a.r3')
    expect(
      ['a', 'a.r2', 'a.r3'].map(
        id =>
          newestOf(
            line,
            line.find(model => model.id === id)!,
          ).id,
      ),
    ).toEqual(['a.r3', 'a.r3', 'a.r3'])
    expect(
      newestOf(
        [
          { id: 'x', supersedes: 'y' },
          { id: 'y', supersedes: 'x' },
        ],
        { id: 'x', supersedes: 'y' },
      ).id,
    ).toBe('y')
  })
  it('alone are offered, unless they are retired', () => expect(offered(line).map(({ id }) => id)).toEqual(['a.r3']))
  it('are told to who uses an older one, one retired, or other figures', () => {
    const house = [
      d46,
      { ...d46, id: 'n' },
      { ...d46, id: 'n.r2', supersedes: 'n', mass: 20 },
      { ...d46, id: 'old', retired: true },
    ]
    expect(standingOf(d46, house)).toBeUndefined()
    expect(standingOf({ ...d46, note: 'as hung', retired: true }, house)).toBeUndefined()
    expect(standingOf({ ...d46, id: 'n' }, house)).toMatchObject({ kind: 'newer', model: { id: 'n.r2' } })
    expect(standingOf({ ...d46, id: 'old' }, house)).toEqual({ kind: 'retired' })
    expect(standingOf({ ...d46, width: 1000 }, house)).toEqual({ kind: 'differs' })
    expect(standingOf({ ...d46, id: 'brought' }, house)).toBeUndefined()
    expect(modelsOf({ ...shipped, displays: [d46] }, 'display')).toEqual([d46])
  })
})
