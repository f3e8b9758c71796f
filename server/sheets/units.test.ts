import { readdirSync, readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { drawHandover } from '../../core/close'
import type { Job, Wall } from '../../core/job'
import { asBuilt } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { draftOf, handedOverOf, withFrozen } from '../../core/revision'
import { PAPERS, sheetAsSvg, type Sheet } from '../../core/sheet'
import { textToString, type Text, type UnitSystem } from '../../core/units'
import { drawElectrician, drawLabels, scheduleOf } from '../../core/wire'
import { kitFile, sheetFile, templatesFile } from './files'
import { scheduleAsCsv } from './scheduleCsv'

/** A figure with a unit of the one system or of the other; threads as M8 and W, V, A, s have no other form. */
const UNITS: Record<UnitSystem, RegExp> = {
  metric: /\d[\d.,]*\s?(mm|cm|km|N|kN|kg|MPa|N·m|mm\/m|m\/s|m|°C)(?![\wµ·/])/,
  imperial: /\d[\d.,/]*\s?(in|ft|lbs?|lbf|psi|mph|BTU\/h|in\/ft|″|")(?![\w])/,
}
const other = (units: UnitSystem): UnitSystem => units === 'metric' ? 'imperial' : 'metric'

/** What is right in the other unit: the name of a model of a maker, and a bit that is sold in mm, with its inches. */
function bare(text: string, job: Job): string {
  const models = Object.values(job.catalogue).flat().map(({ name }) => name ?? '').filter(Boolean)
  const unnamed = models.sort((a, b) => b.length - a.length).reduce((rest, name) => rest.replaceAll(name, ''), text)
  return unnamed.replace(/\d+(\.\d+)? mm \(0\.\d+"+\)/g, '').replace(/""/g, '"')
}
const linesOf = (sheet: Sheet | string) =>
  [...(typeof sheet === 'string' ? sheet : sheetAsSvg(sheet)).matchAll(/<text[^>]*>([\s\S]*?)<\/text>/g)]
    .map(([, text]) => text!.replace(/<[^>]+>/g, ' ').replaceAll('&quot;', '"'))

const cellsOf = (file: string | Uint8Array) => Papa.parse<string[]>(String(file)).data.flat()

const isPart = (part: unknown) =>
  typeof part === 'string' || (typeof part === 'object' && part !== null && ('mm' in part || 'unit' in part))
const isText = (value: unknown): value is Text => Array.isArray(value) && value.length > 0 && value.every(isPart)

/** Every sentence of a plan, with those of its findings and sums. */
function sentencesOf(value: unknown, units: UnitSystem, seen = new Set<unknown>()): string[] {
  if (typeof value !== 'object' || value === null || seen.has(value)) return []
  seen.add(value)
  if (isText(value)) return [textToString(value, units)]
  return Object.values(value).flatMap(each => sentencesOf(each, units, seen))
}

async function everyText(job: Job, wall: Wall, units: UnitSystem): Promise<string[]> {
  const [plan, source] = [planWall(wall, contextOf(job), asBuilt(job.log, wall)), draftOf(job, wall)]
  const paper = units === 'metric' ? 'a3' as const : 'letter' as const
  const options = { paper, units, precision: {} }
  const cases = plan.arrays.flatMap(({ positions }) => positions.map(({ outer }) => outer))
  const templates = await templatesFile(source, 'svg', undefined, options)
  const schedule = scheduleOf(plan.wiring)
  const csv = [
    await sheetFile(source, 'csv', options), await kitFile(source, 'csv', options),
    scheduleAsCsv(schedule, units, {}),
  ]
  const sheets: (Sheet | string)[] = [
    String(await sheetFile(source, 'svg', options)), ...templates === undefined ? [] : [String(templates)],
    drawHandover(handedOverOf(job, wall), { paper: units === 'metric' ? 'a4' : 'letter', units }),
    drawElectrician({
      site: job.site.name, wall, cases, wiring: plan.wiring, electricalRules: job.site.electricalRules,
      rules: {}, units,
    }, PAPERS[paper]),
    drawLabels(schedule, PAPERS[paper], units),
  ]
  return [...sentencesOf({ ...plan, marking: undefined }, units), ...csv.flatMap(cellsOf), ...sheets.flatMap(linesOf)]
}

describe.each(['metric', 'imperial'] as const)('a site in %s units', (units) => {
  it.each([
    ['holm-point', 'ticket-hall'], ['stennick', 'departures-row'], ['ravel-sands', 'pier'], ['ravel-sands', 'lounge'],
  ] as const)('has no figure in the other on any sheet, in the plan, pack or CSV: %s, %s', async (site, id) => {
    const demo = demoJob(site)
    const job = withFrozen({ ...demo, site: { ...demo.site, units } })
    const texts = await everyText(job, job.walls.find(wall => wall.id === id)!, units)
    expect(texts.length).toBeGreaterThan(200)
    expect(texts.filter(text => UNITS[units].test(bare(text, job))).length).toBeGreaterThan(0)
    expect([...new Set(texts)].filter(text => UNITS[other(units)].test(bare(text, job)))).toEqual([])
  })
})

it('no screen names a unit of its own: it asks what the reader calls it', () => {
  const components = readdirSync('app', { recursive: true, encoding: 'utf8' }).filter(file => file.endsWith('.vue'))
  const named = components.flatMap(file => readFileSync(`app/${file}`, 'utf8').split('\n')
    .filter(line => /[a-z] \((mm|kg|N|N·m|m\/s|mm\/m|MPa)\)|[\d}] (mm\/m|kg|m\/s|N·m|MPa)\b/.test(line)
      && !/^\s*(\*|\/\*|\/\/)|'metric' \?/.test(line))
    .map(line => `${file}: ${line.trim().slice(0, 100)}`))
  expect(components.length).toBeGreaterThan(100)
  expect(named).toEqual([])
})
