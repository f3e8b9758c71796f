import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { wallFaults, type Rules } from '../job'
import { rulesSchema } from '../job/site'
import { contextOf, planWall } from '../plan'
import {
  chosenFigure, chosenOption, effectiveRules, HOUSE_RULES, RULE_FIGURES, levelOfRule, levelsOf, ROUTE_MINUTES,
  routeMinutes, rulesFor,
  touchedRules, valueOfOption,
} from './index'

describe('the house rules', () => {
  it('have an option for whatever a file can say, each with its reason, and one that holds until somebody has chosen', () => {
    for (const rule of HOUSE_RULES) {
      const { type, oneOf } = rulesSchema.describe().fields[rule.key] as { type: string, oneOf: string[] }
      expect(rule.options.map(({ value }) => valueOfOption(value)).sort()).toEqual(
        type === 'boolean' ? [false, true] : [...oneOf].sort(),
      )
      expect(rule.options.every(({ why }) => why.length > 30)).toBe(true)
      expect(chosenOption(rule, {}).value).toBe(rule.otherwise)
      for (const { value } of rule.options)
        expect(chosenOption(rule, { [rule.key]: valueOfOption(value) }).value).toBe(value)
    }
    expect([...HOUSE_RULES, ...RULE_FIGURES].map(({ key }) => key).sort()).toEqual(
      Object.keys(rulesSchema.fields).sort(),
    )
    expect(
      RULE_FIGURES.map(({ key }) => [
        chosenFigure(key, {}, 'metric'),
        chosenFigure(key, {}, 'imperial'),
        chosenFigure(key, { [key]: 0 }, 'metric'),
      ]),
    ).toEqual([
      [150, 152.4, 0],
      [1500, 1524, 0],
      [50, 50.8, 0],
      [0.3, 0.3, 0],
      [1, 1, 0],
      [1, 1, 0],
      [1, 1, 0],
      [250, 55 * 4.4482216, 0],
      [0.5, 0.5, 0],
      [0.1, 0.1, 0],
      [0.1, 0.1, 0],
      ...Object.values(ROUTE_MINUTES).map(({ otherwise }) => [otherwise, otherwise, 0]),
    ])
    expect(routeMinutes({ minutesPlate: 5 })).toMatchObject({ minutesPlate: 5, minutesStud: 40, minutesOpening: 42 })
  })

  it('hold as the nearest level has chosen, and say which that is', () => {
    const job = {
      firm: { rules: { furring: 'into-furring', heightDatum: 'bottom-edge', markingSigma: 2 } as Rules },
      rules: { heightDatum: 'top-row-centre' } as Rules,
    }
    const levels = levelsOf(job, { rules: { heightDatum: 'by-kind' } })
    expect(effectiveRules(levels)).toEqual({ furring: 'into-furring', heightDatum: 'by-kind', markingSigma: 2 })
    expect((['heightDatum', 'furring', 'blockJoints'] as const).map(key => levelOfRule(key, levels))).toEqual([
      'wall',
      'firm',
      undefined,
    ])
    expect(rulesFor(job)).toMatchObject({ heightDatum: 'top-row-centre' })
    expect(levelOfRule('heightDatum', levelsOf(job))).toBe('site')
    expect(rulesFor({ rules: {} })).toEqual({})
  })

  it('of a wall are what it is planned by, against its site and firm', () => {
    const job = exampleJob()
    const [wall] = job.walls
    const line = (change: () => void) => {
      change()
      return planWall(wall!, contextOf(job)).marking.levelLine!.label
    }
    expect(line(() => {})).toBe('centre line of the top row of Departures')
    expect(line(() => { job.firm = { rules: { heightDatum: 'bottom-edge' } } })).toBe('bottom edge of Departures')
    expect(line(() => { job.rules.heightDatum = 'top-row-centre' })).toBe('centre line of the top row of Departures')
    expect(line(() => { wall!.rules = { heightDatum: 'bottom-edge' } })).toBe('bottom edge of Departures')
    expect(line(() => { wall!.rules = { heightDatum: 'by-kind' } })).toBe('centre line of the top row of Departures')
    expect(wallFaults({ ...wall, rules: { heightDatum: 'high' } }, job.catalogue).map(({ path }) => path)).toEqual([
      '$.rules.heightDatum',
    ])
  })
})

describe('fixings of a plate in the top row and one below', () => {
  /** A mount of three rows whose maker allows the top and the bottom one alone, up to so many kg. */
  function withThreeRows(capacity: number) {
    const job = exampleJob()
    const [mount] = job.catalogue.mounts
    mount!.plate.slots.push(
      { row: 'middle', y: 30, x1: -240, x2: -30, diameter: 10 },
      { row: 'middle', y: 30, x1: 30, x2: 240, diameter: 10 },
    )
    mount!.needs = { members: 2, rows: ['top', 'middle', 'bottom'] }
    mount!.otherNeeds = [{ members: 2, rows: ['middle', 'bottom'] }, { members: 2, rows: ['top', 'bottom'], capacity }]
    return (rules: Rules, needs?: { members: number, rows: string[] }) => {
      const wall = { ...job.walls[0]!, arrays: [{ ...job.walls[0]!.arrays[0]!, ...needs && { needs } }] }
      const { arrays: [array], findings } = planWall(wall, { ...job, rules })
      return {
        rows: [...new Set(array!.positions[0]!.holes!.map(({ row }) => row))],
        codes: findings.map(({ code }) => code),
      }
    }
  }

  it('are taken where the maker allows them for the display, and every row otherwise', () => {
    const plan = withThreeRows(30)
    expect(plan({}).rows).toEqual(['top', 'middle', 'bottom'])
    expect(plan({ plateFixings: 'top-and-one-below' })).toMatchObject({ rows: ['top', 'bottom'] })
    expect(plan({ plateFixings: 'top-and-one-below' }).codes).not.toContain('slot-use-not-allowed')
    expect(withThreeRows(20)({ plateFixings: 'top-and-one-below' }).rows).toEqual(['top', 'middle', 'bottom'])
  })

  it('leave an array for which a person chose', () => {
    expect(
      withThreeRows(30)({ plateFixings: 'top-and-one-below' }, { members: 2, rows: ['top', 'middle', 'bottom'] }).rows,
    ).toEqual(['top', 'middle', 'bottom'])
  })
})

describe('walls that a rule touches', () => {
  const none = { firm: {}, site: {}, wall: {} }
  it('are those that have not chosen for themselves, and that were planned otherwise before', () => {
    expect(touchedRules(none, 'firm', { heightDatum: 'bottom-edge' }, 'metric')).toEqual(['heightDatum'])
    expect(
      touchedRules({ ...none, site: { heightDatum: 'by-kind' } }, 'firm', { heightDatum: 'bottom-edge' }, 'metric'),
    ).toEqual([])
    expect(
      touchedRules(
        { ...none, firm: { heightDatum: 'bottom-edge' }, wall: { heightDatum: 'bottom-edge' } },
        'site',
        { heightDatum: 'by-kind' },
        'metric',
      ),
    ).toEqual([])
    // What is chosen and held already changes nothing, a default in the wall's unit included.
    expect(touchedRules(none, 'firm', { heightDatum: 'by-kind', markingSigma: 1 }, 'metric')).toEqual([])
    expect(touchedRules(none, 'firm', { drillWander: 2, seamTolerance: 0.3 }, 'metric')).toContain('drillWander')
  })
})
