import { beforeEach, describe, expect, it } from 'vitest'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob, exampleWall } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import type { Wall } from '../../core/job'
import type { Database } from '../database/perDatabase'
import { readFirm, saveFirmRules } from './firm'
import { importJob } from './importing'
import { exportJob, readSite, saveRules } from './sites'
import { keepRevision } from './revisions'
import { siteRow } from './siteRows'
import { touchedBy } from './touched'
import { readWall, readWallText } from './walls'

let db: Database
const AT = '2026-11-12T09:00:00.000Z'
eachInEmptyFirm((empty) => { db = empty })

describe('the house rules of a site', () => {
  beforeEach(() => importJob(db, exampleJob(), 'Isla', AT))

  it('are kept, and every wall is read with them from then on', () => {
    expect(readWall(db, 'holm-point', 'w1').job.rules).toEqual({ markingSigma: 1 })
    const rules = { 'proofOfFraming': 'one-sign', 'markingSigma': 0.7, 'x-since': 2026 }
    expect(saveRules(db, 'holm-point', rules, 1)).toMatchObject({ rules, version: 2 })
    expect(readWall(db, 'holm-point', 'w1').job.rules).toEqual(rules)
    expect(saveRules(db, 'holm-point', {}, 2).rules).toEqual({})
    expect(exportJob(db, 'holm-point')).toEqual({ ...exampleJob(), rules: {} })
  })

  it('are refused where they are wrong or stale, and nothing is changed', () => {
    expect(refused(() => saveRules(db, 'holm-point', { proofOfFraming: 'hope', markingSigma: -1 }, 1)))
      .toMatchObject({ status: 422, faults: [{ path: '$.proofOfFraming' }, { path: '$.markingSigma' }] })
    saveRules(db, 'holm-point', { heightDatum: 'bottom-edge' }, 1)
    expect(refused(() => saveRules(db, 'holm-point', {}, 1))).toMatchObject({
      status: 409,
      current: { rules: { heightDatum: 'bottom-edge' }, version: 2 },
    })
    expect(readSite(db, 'holm-point').version).toBe(2)
    expect(refused(() => readSite(db, 'nowhere')).status).toBe(404)
  })
})

describe('the house rules of the firm', () => {
  beforeEach(() => void importJob(db, exampleJob(), 'Isla', AT))

  it('are kept on their version and read with every wall, and go along in a job file', () => {
    expect(readFirm(db)).toEqual({ rules: {}, version: 0 })
    expect(exportJob(db, 'holm-point')).not.toHaveProperty('firm')
    expect(saveFirmRules(db, { furring: 'into-furring', markingSigma: 3 }, 0)).toMatchObject({ version: 1 })
    expect(readWall(db, 'holm-point', 'w1').job).toMatchObject({
      firm: { rules: { furring: 'into-furring' } },
      rules: { markingSigma: 1 },
    })
    expect(JSON.parse(readWallText(db, 'holm-point', 'w1'))).toEqual(
      JSON.parse(JSON.stringify(readWall(db, 'holm-point', 'w1'))),
    )
    expect(readSite(db, 'holm-point').firm).toEqual({ furring: 'into-furring', markingSigma: 3 })
    // Brought in elsewhere its walls are planned as they were: what the firm chose is what the site chose.
    const out = exportJob(db, 'holm-point')
    importJob(db, { ...out, site: { ...out.site, id: 'copy' } }, 'Isla', AT)
    expect(exportJob(db, 'copy').rules).toEqual({ furring: 'into-furring', markingSigma: 1 })
  })

  it('are refused where they are wrong or stale', () => {
    expect(refused(() => saveFirmRules(db, { furring: 'glue' }, 0))).toMatchObject({
      status: 422,
      faults: [{ path: '$.furring' }],
    })
    saveFirmRules(db, { lifting: 'always-two' }, 0)
    expect(refused(() => saveFirmRules(db, {}, 0))).toMatchObject({
      status: 409,
      current: { rules: { lifting: 'always-two' }, version: 1 },
    })
    expect(saveFirmRules(db, {}, 1)).toEqual({ rules: {}, version: 2 })
  })
})

describe('walls that a rule touches', () => {
  it('are those of all sites that have not chosen for themselves, with whether anything of them was issued', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    const chosen: Wall = { ...exampleWall(), id: 'w2', name: 'Own rules', rules: { heightDatum: 'by-kind' } }
    importJob(
      db,
      { ...exampleJob(), site: { id: 'other', name: 'Other', units: 'metric' }, walls: [exampleWall(), chosen] },
      'Isla',
      AT,
    )
    const issued = { id: 'a'.repeat(64), format: 'wide-trellis-revision' }
    keepRevision(db, siteRow(db, 'other').key, 'w1', issued as never)
    expect(touchedBy(db, { heightDatum: 'bottom-edge' }).map(({ site, wall, issued }) => [site, wall, issued])).toEqual(
      [
        ['holm-point', 'w1', false],
        ['other', 'w1', true],
      ],
    )
    expect(touchedBy(db, { heightDatum: 'bottom-edge' }, 'other').map(({ site }) => site)).toEqual(['other'])
    expect(refused(() => touchedBy(db, { heightDatum: 'upside-down' })).status).toBe(422)
    expect(refused(() => touchedBy(db, {}, 'nowhere')).status).toBe(404)
  })
})
