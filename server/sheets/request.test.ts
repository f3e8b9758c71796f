import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { planWall } from '../../core/plan'
import { sheetRequest } from '../utils/sheetRequest'
import { marksAsCsv } from './csv'
import { EXPORTS } from '../../core/formats'

describe('asking for a sheet', () => {
  it('gives what is asked for, and else A3 as PDF in the site’s unit', () => {
    expect(sheetRequest({}, 'imperial', EXPORTS.sheet)).toEqual({
      format: 'pdf',
      options: { paper: 'a3', units: 'imperial', precision: {} },
    })
    expect(
      sheetRequest(
        { format: 'csv', paper: 'letter', units: 'metric', fine: '1', scale: '10' },
        'imperial',
        EXPORTS.sheet,
      ),
    ).toEqual({
      format: 'csv',
      options: { paper: 'letter', units: 'metric', precision: { decimals: 1, denominator: 32 }, scale: 10 },
    })
  })

  it.each([
    ['format', 'dwg'],
    ['paper', 'a0'],
    ['units', 'cubits'],
    ['fine', 'yes'],
    ['scale', '1:25'],
    ['scale', '0'],
  ])('refuses %s=%s and says what there is', (key, value) => {
    expect(() => sheetRequest({ [key]: value }, 'metric', EXPORTS.sheet)).toThrow(
      new RegExp(`“${key}” must be (one of|a whole number)`),
    )
  })
})

describe('the marks as CSV', () => {
  const job = exampleJob()
  const { marks } = planWall(job.walls[0]!, job).marking
  const rows = (units: 'metric' | 'imperial') => marksAsCsv(marks, { units, precision: {} }).split('\r\n')

  it('have every mark in a row, its figures rounded as printed and exact beside', () => {
    expect(rows('metric')).toHaveLength(marks.length + 1)
    expect(rows('metric').find(row => row.startsWith('a1-r1c1-top-1,'))).toBe(
      `a1-r1c1-top-1,hole,R1 C1 top 1,1900,2090,+152,6.5,74,stud `
      + `1,1900,2090.4,${Number((2090.4 - 1938.4).toFixed(4))},"Holes, R1 top"`,
    )
  })

  it('write a plain minus, which a spreadsheet reads, and quote feet and inches', () => {
    expect(rows('metric').some(row => row.includes('−'))).toBe(false)
    expect(rows('metric').some(row => /,-\d+,/.test(row))).toBe(true)
    expect(rows('imperial').find(row => row.startsWith('a1-r1c1-top-1,'))).toContain('"6\' 2 13/16"""')
  })
})
