import type { Finding } from '../finding'
import type { AsBuilt } from '../log'
import type { ArrayPlan } from '../mount'
import { words, type Text } from '../units'
import type { Compared } from './compared'
import { failedTests, type TestedCircuit } from './circuitTests'
import { CHECKS, type Check, type CheckKind } from './checks'
import { serialTwice, stillOpen, type ClosingRecord } from './record'
import { screenLabel } from '../job/screenLabel'

/** What stands in the way of handing a wall over, or remains to note about it. */
export interface Missing { severity: 'stop' | 'caution' | 'note', what: Text, of?: 'signature' }

const listed = (labels: string[]) =>
  labels.length > 6 ? `${labels.slice(0, 6).join(', ')} and ${labels.length - 6} more` : labels.join(', ')

const isStop = ({ severity }: Missing) => severity === 'stop'

/** Checks that failed, that differ from what is required, and those that are required and not recorded. */
function checksMissing(checks: Check[]): Missing[] {
  const faults = checks.flatMap(({ fault }): Missing[] => fault ? [fault] : [])
  const unrecorded = (Object.keys(CHECKS) as CheckKind[]).flatMap((kind): Missing[] => {
    const lacking = checks.filter(check => check.kind === kind && check.recorded === undefined)
    const severity = kind === 'firmware' ? 'note' : 'caution'
    const labels = listed(lacking.map(({ label }) => label))
    return lacking.length > 0 ? [{ severity, what: words`${CHECKS[kind].title} not recorded: ${labels}.` }] : []
  })
  const [stops, others] = [faults.filter(isStop), faults.filter(fault => !isStop(fault))]
  return [...stops, ...others, ...unrecorded]
}

const one = (severity: Missing['severity'], when: boolean, what: () => Text): Missing[] =>
  when ? [{ severity, what: what() }] : []
const caution = (what: Text): Missing => ({ severity: 'caution', what })
const counted = (list: unknown[], one: string, many: string) => `${list.length} ${list.length === 1 ? one : many}`

/** Circuits that failed a test, and those whose test is not recorded. */
function circuitsMissing(circuits: TestedCircuit[]): Missing[] {
  const failed = circuits.flatMap(({ name, test }) => test && failedTests(test).length > 0 ? [{ name, test }] : [])
  const untested = circuits.filter(({ test }) => !test).map(({ name }) => name)
  return [
    ...failed.map(({ name, test }): Missing => ({
      severity: 'stop',
      what: words`${name} failed: ${failedTests(test).join(', ')}. Isolate it until a licensed electrician has mended
        it.`,
    })),
    ...one('caution', untested.length > 0, () => words`Circuit test not recorded: ${listed(untested)}.`),
  ]
}

/** What a wall lacks before it is handed over, the gravest first. */
export function missingFor(
  arrays: ArrayPlan[],
  built: Pick<AsBuilt, 'hung'>,
  { record, compared, checks, circuits }: {
    record: ClosingRecord
    compared: Compared
    checks: Check[]
    circuits: TestedCircuit[]
  },
  findings: Finding[],
): Missing[] {
  const screens = arrays.flatMap(({ positions }) => positions)
  const without = (has: (id: string) => boolean) =>
    screens.filter(({ id }) => !has(id)).map(screenLabel)
  const label = new Map(screens.map(({ id, row, column }) => [id, screenLabel({ row, column })]))
  const [unhung, unlocked, unnamed] = [
    without(id => built.hung.includes(id)),
    without(id => !built.hung.includes(id) || record.locked.has(id)),
    without(id => record.serials.has(id)),
  ]
  const perhaps = without(id => built.hung.includes(id) || record.locked.has(id))
  const unmade = compared.holes.filter(({ made }) => made === undefined).length
  const off = compared.seams.filter(({ closed }) => !closed)
  const unread = arrays.filter(
    ({ id, positions }) => positions.length > 1 && !record.seams.some(({ array }) => array === id),
  )
  const stops = findings.filter(({ severity }) => severity === 'stop')
  const failed = [...record.tested.values()].filter(({ passed }) => !passed)
  const snags = stillOpen(record)
  return [
    ...one('stop', stops.length > 0, () => words`${counted(stops, 'stop is', 'stops are')} open in the plan.`),
    ...one('stop', unlocked.length > 0, () => words`Hung but not locked: ${listed(unlocked)}. Keep everyone clear
      below a screen that is not locked.`),
    ...serialTwice(record).map(({ serial, screens }) => caution(words`Serial number ${serial} is recorded for
      ${screens.map(id => label.get(id) ?? id).join(' and ')}: one of them is wrong.`)),
    ...circuitsMissing(circuits),
    ...checksMissing(checks),
    ...one('caution', unmade > 0, () =>
      words`${String(unmade)} of ${String(compared.holes.length)} holes are not recorded as drilled.`),
    ...one('caution', unhung.length > 0, () => words`Not recorded as hung: ${listed(unhung)}.`),
    ...one('caution', perhaps.length > 0, () => words`Not recorded as locked: ${listed(perhaps)}.`),
    ...one('caution', off.length > 0, () =>
      words`${counted(off, 'seam, step or level was', 'seams, steps or levels were')}
      out of tolerance at the last reading: ${listed(off.map(({ label, reads }) => `${label} ${reads}`))}.`),
    ...unread.map(({ name }) => caution(words`The seams of ${name} have not been read.`)),
    ...failed.map(({ array, note }) => caution(words`The test pattern of
      ${arrays.find(({ id }) => id === array)?.name ?? array} failed${note ? `: ${note}` : ''}.`)),
    ...one('note', unnamed.length > 0, () => words`Serial number missing: ${listed(unnamed)}.`),
    ...one('note', arrays.some(({ id }) => !record.tested.has(id)), () =>
      words`The test pattern has not been checked.`),
    ...one('note', snags.length > 0, () => words`${counted(snags, 'open snag', 'open snags')}.`),
    ...record.signatures.length === 0
      ? [{ severity: 'note' as const, what: words`Not signed yet.`, of: 'signature' as const }]
      : [],
  ]
}
