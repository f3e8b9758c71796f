import { spawnSync } from 'node:child_process'
import { generateKeyPairSync, sign } from 'node:crypto'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildSync } from 'esbuild'
import { describe, expect, it } from 'vitest'
import { writeJob } from '../core/job'
import { chained, EMPTY_CHAIN, headCode, headText } from '../core/log'
import { withFrozen } from '../core/revision'
import { answerTo } from './command'
import { demoJob } from '../tests/fixtures/demo'
import { exampleJob } from '../tests/fixtures/job'
import { pdfText } from '../tests/fixtures/pdfText'

const folder = mkdtempSync(join(tmpdir(), 'wt-'))
/**
 * The command line in one file: it starts in a third of the time, and is the same. Inside the repository, for its
 * packages.
 */
const COMMAND = 'node_modules/.cache/wt-test.mjs'
buildSync({
  entryPoints: ['cli/wt.ts'],
  outfile: COMMAND,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
})
/** What a command line comes to; asked here, as starting it takes longer than most of what it does. */
async function wt(...args: string[]) {
  const answer = await answerTo(args)
  if (answer.code === 2) return { status: 2, stdout: '', stderr: answer.told }
  const stdout = Buffer.from(answer.printed as string).toString('utf8')
  return { status: answer.code, stdout, stderr: answer.told ?? '' }
}
function jobFile(name: string, content: unknown) {
  const file = join(folder, name)
  writeFileSync(file, typeof content === 'string' ? content : JSON.stringify(content))
  return file
}

describe('a revision that the log names and the file lacks', { timeout: 90_000 }, () => {
  const issued = (revision: string, at: string) =>
    ({ id: `i-${revision}`, at, by: 'Isla', wall: 'w1', kind: 'issued', revision }) as const
  const log = [issued('A', '2026-11-12T09:00:00Z'), issued('B', '2026-11-13T09:00:00Z')]
  const job = withFrozen({ ...exampleJob(), log })
  const wall = job.walls[0]!
  const [first, last] = [wall.revisions![0]!, wall.revisions!.at(-1)!]
  const without = (name: string, id: string) => jobFile(name, {
    ...job,
    walls: job.walls.map(each => each === wall
      ? { ...wall, revisions: wall.revisions!.filter(revision => revision.id !== id) }
      : each),
  })

  it('is named: no plan is printed, the log does not hold, and no sheet is drawn from the one before', async () => {
    const file = without('lacks-last.json', last.id)
    const planned = await wt('plan', file)
    expect([planned.status, planned.stdout]).toEqual([1, ''])
    expect(planned.stderr).toMatch(/^Revision B of .* is missing: the file has none with the id [0-9a-f]{64}\.\n$/)
    expect(await wt('log', 'verify', file)).toMatchObject({ status: 1, stdout: planned.stderr })
    expect(await wt('sheet', file, '--wall', wall.id, '--as', 'csv')).toMatchObject({
      status: 2, stderr: expect.stringContaining('Revision B of'),
    })
    // What is there is drawn where it is asked for by its letter; the plan of the moment as well.
    expect((await wt('sheet', file, '--wall', wall.id, '--as', 'csv', '--revision', 'A')).status).toBe(0)
    expect((await wt('sheet', file, '--wall', wall.id, '--as', 'csv', '--revision', 'draft')).status).toBe(0)
  })

  it('is named where an earlier one is missing, though the last is there', async () => {
    const planned = await wt('plan', without('lacks-first.json', first.id))
    expect([planned.status, planned.stdout, planned.stderr]).toEqual([1, '', expect.stringContaining('Revision A of')])
    expect((await wt('plan', jobFile('whole.json', job))).status).toBe(0)
  })
})

describe('wt log verify', { timeout: 90_000 }, () => {
  const remark = {
    id: 'l1',
    at: '2026-11-12T09:00:00Z',
    by: 'Isla',
    wall: 'w1',
    kind: 'remark',
    note: 'dusty',
  } as const
  const logFile = (name: string, ...log: object[]) => jobFile(name, { ...exampleJob(), log })
  const first = chained(remark, EMPTY_CHAIN)

  it('says that every entry holds, and how many are in no chain yet', async () => {
    expect(await wt('log', 'verify', logFile('holds.json', first, { ...remark, id: 'l2' })))
      .toMatchObject({ status: 0, stdout: expect.stringMatching(/^1 entry is valid; 1 more/) })
  })

  it('names the first that does not, and ends with 1', async () => {
    const second = chained({ ...remark, id: 'l2' }, { seq: 1, hash: first.hash! })
    expect(await wt('log', 'verify', logFile('changed.json', first, { ...second, note: 'clean' })))
      .toMatchObject({ status: 1, stdout: 'Entry 2, l2, does not match its own hash.\n' })
  })

  it('takes a head as its code and as the line that was signed, and checks the signature with the key', async () => {
    const { publicKey, privateKey } = generateKeyPairSync('ed25519')
    const key = publicKey.export({ format: 'jwk' }).x!
    const head = { seq: 1, hash: first.hash!, at: '2026-11-12T10:00:00.000Z', key }
    const text = headText('holm-point', head)
    const line = `${text};${sign(null, Buffer.from(text), privateKey).toString('base64url')}`
    const file = logFile('heads.json', first)
    const said = async (...given: string[]) =>
      (await wt('log', 'verify', file, '--head', ...given)).stdout.split('\n')[1]
    expect(await said(headCode(first)!)).toBe('It has the head of this code.')
    expect(await said(line)).toMatch(/signature was not checked/)
    expect(await said(line, '--key', key)).toBe(`It has this head, which was signed by this key on ${head.at}.`)
    const another = generateKeyPairSync('ed25519').publicKey.export({ format: 'jwk' }).x!
    for (const [given, by] of [[line.replace('T10', 'T11'), key], [line, another], [line.replace('holm', 'hull'), key]])
      expect(await wt('log', 'verify', file, '--head', given!, '--key', by!)).toMatchObject({ status: 1 })
  })
})

describe('wt plan', { timeout: 90_000 }, () => {
  it('prints the plan and nothing else', async () => {
    const { status, stdout, stderr } = await wt('plan', jobFile('good.json', exampleJob()))
    expect([status, stderr]).toEqual([0, ''])
    const printed = JSON.parse(stdout)
    expect(printed).toMatchObject({
      format: 'wide-trellis-plan',
      version: 1,
      walls: [
        {
          id: 'w1',
          findings: [{ code: 'loaded-edge-too-near', severity: 'caution' }, { code: 'fastener-much-used' }],
          members: [{ centre: 1900, width: 38, sd: 0, kind: 'single', source: 'observed' }, {}, {}, {}, {}, {}],
        },
      ],
    })
    const [array] = printed.walls[0].arrays
    expect(array).toMatchObject({ id: 'a1', imageGap: { x: 2, y: 2 }, shift: { x: 0, y: 0 } })
    expect(array.positions[0]).toMatchObject({ row: 1, column: 1, mount: { lateralShift: 0, held: true } })
    expect(array.positions[0].mount.x).toBeCloseTo(2078, 9)
    expect(array.positions[0].holes[1]).toMatchObject({
      id: 'a1-r1c1-top-2',
      row: 'top',
      slot: 1,
      x: 2300,
      member: 1,
      fastener: 'lag',
      bit: 6.5,
      depth: 74,
    })
  })

  it('prints a plan that has stops, with the sentences in the site’s unit', async () => {
    const job = exampleJob()
    job.site.units = 'imperial'
    job.walls[0]!.arrays[0]!.at.x.value = 3700
    const { status, stdout } = await wt('plan', jobFile('stops.json', job))
    const { findings } = JSON.parse(stdout).walls[0]
    expect(status).toBe(0)
    expect(findings[0]).toMatchObject({ severity: 'stop', code: 'hole-misses-member' })
    expect(findings[0].message).toMatch(/misses stud \d by \d+' [\d /]+"\.|misses stud \d by [\d /]+"\./)
  })

  it('refuses a broken file with every fault by its path, and no stack', async () => {
    const job = exampleJob()
    Object.assign(job.walls[0]!, { width: 0 })
    Object.assign(job.walls[0]!.arrays[0]!, { rows: 200, columns: 200 })
    const { status, stdout, stderr } = await wt('plan', jobFile('bad.json', job))
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr.trim().split('\n').sort()).toEqual([
      '$.walls[0].arrays[0] has 40000 screens; at most 2500 can be planned',
      '$.walls[0].width must be more than 0, not 0',
    ])
  })

  it.each([
    ['not JSON', ['plan', jobFile('text.json', '{ oops')], /^\$ is not JSON/],
    ['no such file', ['plan', join(folder, 'none.json')], /none\.json cannot be read/],
    ['no file named', ['plan'], /needs the name/],
    ['a verb it does not know', ['dance'], /no command “dance”/],
  ])('says what is wrong: %s', async (_, args, said) => {
    const { status, stdout, stderr } = await wt(...args)
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr).toMatch(said)
    expect(stderr).not.toMatch(/\n\s+at /)
  })
})

describe('wt', { timeout: 90_000 }, () => {
  const piped = (input: string | Buffer, ...args: string[]) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, [COMMAND, ...args], { input })
    return {
      status,
      stdout: String(stdout),
      said: String(stderr)
        .split('\n')
        .filter(line => line && !line.startsWith('npm warn')),
    }
  }
  const text = JSON.stringify(exampleJob())

  it('reads standard input, with a byte order mark too', () => {
    // `refuses a file …` below reads it without one.
    const { status, stdout, said } = piped(`\uFEFF${text}`, 'plan', '-')
    expect([status, said, JSON.parse(stdout).format]).toEqual([0, [], 'wide-trellis-plan'])
  })

  it('tells in a line what it cannot take, and ends with 2', async () => {
    const refusals: [string[], string | Buffer, RegExp][] = [
      [['plan', '-'], Buffer.from(`\uFEFF${text}`, 'utf16le'), /^Standard input is UTF-16; a job file is UTF-8/],
      [['plan', '-'], Buffer.from([0x7B, 0xC3, 0x28, 0x7D]), /^Standard input is not UTF-8/],
      [['plan', folder], '', /cannot be read: it is a folder/],
      [['plan', join(folder, 'none.json')], '', /none\.json cannot be read/],
      [['plan'], '', /needs the name of a job file, or -/],
      [['plan', '--fast', '-'], '', /wt plan does not take “--fast”/],
      [['plan', '-', 'other.json'], '', /wt plan does not take “other.json”/],
      [['schema', 'x'], '', /wt schema does not take “x”/],
      [['log', 'mend'], '', /wt has no command “log”/],
    ]
    // What comes through standard input needs a process; the rest is refused by what that process runs.
    const here = async (args: string[]) => {
      const { status, stdout, stderr } = await wt(...args)
      return { status, stdout, said: stderr.split('\n').filter(Boolean) }
    }
    for (const [args, input, words] of refusals) {
      const { status, stdout, said } = input === '' ? await here(args) : piped(input, ...args)
      expect([args, status, stdout, said.length]).toEqual([args, 2, '', 1])
      expect(said[0]).toMatch(words)
    }
  })

  it('refuses a file of thousands of faults with a hundred of them, and no stack', async () => {
    const { status, said } = piped(
      JSON.stringify({ ...exampleJob(), log: Array.from({ length: 20_000 }, () => ({})) }),
      'plan',
      '-',
    )
    expect([status, said.length]).toEqual([2, 100])
    expect(said.join()).not.toMatch(/\bat .*\.ts:\d/)
  })

  it('says more of each verb', async () => {
    expect(piped('', 'plan', '--help')).toMatchObject({
      status: 0,
      said: [],
      stdout: expect.stringMatching('^wt plan'),
    })
    for (const verb of [['log', 'verify'], ['schema'], ['fields']]) {
      const stdout = expect.stringMatching(`^wt ${verb.join(' ')}`)
      expect(await wt(...verb, '--help')).toMatchObject({ status: 0, stdout })
    }
  })

  it('ends with 1 where its answer cannot be written', async () => {
    const { status, stderr } = spawnSync('sh', ['-c', `node ${COMMAND} schema > /dev/full`], { encoding: 'utf8' })
    expect([status, stderr]).toEqual([1, expect.stringContaining('The output could not be written')])
  })
})

describe('wt sheet', { timeout: 90_000 }, () => {
  it('draws the sheet of a wall to a file, in the paper and the kind that are asked for, as another program reads it', async () => {
    const out = join(folder, 'sheet.pdf')
    expect(await wt('sheet', 'demo/holm-point.json', '--wall', 'ticket-hall', '--paper', 'a2', '--out', out)).toEqual({
      status: 0,
      stdout: '',
      stderr: '',
    })
    const bytes = readFileSync(out)
    expect(/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(bytes.toString('latin1'))!.slice(1).map(Number)).toEqual([
      expect.closeTo((594 * 72) / 25.4, 1),
      expect.closeTo((420 * 72) / 25.4, 1),
    ])
    const text = (await pdfText(bytes)).flat().join(' ')
    for (const part of [
      'Holm Point · Ticket hall, east wall',
      'on A2',
      'R1 C1 box b11',
      'Bore through top or bottom plate',
    ])
      expect(text).toContain(part)
    const { stdout } = await wt('sheet', jobFile('one.json', exampleJob()), '--as', 'json')
    expect(JSON.parse(stdout).marks.find(({ id }: { id: string }) => id === 'a1-r1c1-top-1')).toMatchObject({
      running: 1900,
      kind: 'hole',
    })
  })

  it.each<[string[], RegExp]>([
    [['demo/holm-point.json'], /has 2 walls; choose one with --wall: ticket-hall, cafe/],
    [['demo/holm-point.json', '--wall', 'attic'], /no wall “attic”/],
    [
      ['demo/holm-point.json', '--wall', 'cafe', '--as', 'poem'],
      /--as must be one of pdf, svg, dxf, csv, json, not “poem”/,
    ],
    [['demo/holm-point.json', '--wall'], /--wall needs a value/],
    [['demo/holm-point.json', '--wall', 'cafe', '--out', '/no/such/folder/x.pdf'], /cannot be written/],
    [['demo/holm-point.json', '--colour', 'red'], /does not take “--colour”/],
    [[], /needs the name of a job file/],
  ])('%j is refused in words', async (args, words) => {
    const { status, stderr } = await wt('sheet', ...args)
    expect([status, stderr]).toEqual([2, expect.stringMatching(words)])
  })
})

describe('wt sheet, templates and diff', { timeout: 90_000 }, () => {
  const issued = withFrozen(demoJob('stennick'))
  const file = () => jobFile('issued.json', writeJob(issued))

  it('draw what was issued last, a revision by its letters, or a draft', async () => {
    const out = join(folder, 'sheet.pdf')
    expect(await wt('sheet', file(), '--revision', 'A', '--out', out))
      .toMatchObject({ status: 0, stdout: '', stderr: '' })
    expect((await pdfText(readFileSync(out))).flat().join(' ')).toContain(
      'Revision A · issued 18 Nov 2026 by Isla Brandt',
    )
    expect((await wt('sheet', file(), '--as', 'json')).stdout).toContain('"revision": "C"')
    expect((await wt('sheet', file(), '--revision', 'draft', '--as', 'json')).stdout).toContain('"revision": null')
    expect(await wt('sheet', file(), '--revision', 'Q'))
      .toMatchObject({ status: 2, stderr: expect.stringContaining('has no revision “Q” in this file') })
    expect(await wt('sheet', file(), '--scale', '1:25'))
      .toMatchObject({ status: 2, stderr: expect.stringContaining('--scale must be a whole number') })
  })

  it('draw templates as large as they are', async () => {
    const out = join(folder, 'templates.pdf')
    expect((await wt('templates', file(), '--of', 'row-r1c1', '--paper', 'a1', '--out', out)).status).toBe(0)
    expect((await pdfText(readFileSync(out))).flat().join(' ')).toContain('plate template, 1:1')
    expect(await wt('templates', file(), '--of', 'nothing'))
      .toMatchObject({ status: 2, stderr: expect.stringContaining('“nothing”') })
  })

  it('say what moved between two revisions, and by how much', async () => {
    const { status, stdout } = await wt('diff', file(), 'A', 'B')
    expect([status, stdout.split('\n')[0]]).toEqual([0, '1 mark differs.'])
    expect(stdout).toContain('moved\tR1 C2 top 1\t2320, 1711 above floor → 2240, 1711 above floor\tby 80 mm')
    expect(JSON.parse((await wt('diff', file(), 'A', 'C', '--as', 'json')).stdout).change.marks).toHaveLength(2)
    expect(await wt('diff', file(), 'A')).toMatchObject({ status: 2, stderr: expect.stringContaining('needs B') })
  })
})

describe('wt align and study', { timeout: 90_000 }, () => {
  it('say which screws to turn, before rounding and after, and nothing where nothing was read', async () => {
    const job = demoJob('holm-point')
    expect(JSON.parse((await wt('align', jobFile('unread.json', writeJob(job)))).stdout))
      .toEqual({ format: 'wide-trellis-align', version: 1, arrays: [] })
    job.log.push({
      id: 's1',
      at: '2026-11-20T09:00:00Z',
      by: 'Isla Brandt',
      wall: 'ticket-hall',
      kind: 'seams',
      array: 'departures',
      round: 1,
      gaps: [
        { between: ['r1c1', 'r1c2'], end: 'top', mm: 1.83 },
        { between: ['r1c1', 'r1c2'], end: 'bottom', mm: 0.6 },
      ],
    })
    const file = jobFile('read.json', writeJob(job))
    const [rounded, exact] = [
      JSON.parse((await wt('align', file)).stdout).arrays[0],
      JSON.parse((await wt('align', file, '--exact')).stdout).arrays[0],
    ]
    expect(exact)
      .toMatchObject({ closes: true, before: { gap: expect.closeTo(1.23, 6) }, after: { gap: expect.closeTo(0, 5) } })
    expect(rounded.closes).toBe(true)
    for (const { turns } of rounded.moves.filter(({ turns }: { turns?: number }) => turns !== undefined))
      expect(8 * turns).toBeCloseTo(Math.round(8 * turns), 9)
  })

  it('say how often the seams would close, alike for the same seed', async () => {
    const file = jobFile('study.json', writeJob(demoJob('holm-point')))
    const { stdout } = await wt('study', file, '--trials', '100', '--seed', '3', '--array', 'departures')
    expect(JSON.parse(stdout)).toMatchObject({
      format: 'wide-trellis-study',
      version: 1,
      arrays: [
        {
          wall: 'ticket-hall',
          id: 'departures',
          running: { p: expect.any(Number) },
          causes: expect.arrayContaining([{ cause: 'size', p: expect.any(Number) }]),
        },
      ],
    })
    expect((await wt('study', file, '--trials', '100', '--seed', '3', '--array', 'departures')).stdout).toBe(stdout)
    expect(await wt('study', file, '--trials', 'many'))
      .toMatchObject({ status: 2, stderr: expect.stringContaining('--trials must be a whole number') })
  })
})
