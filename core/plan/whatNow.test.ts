import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { on, wired } from '../../tests/fixtures/cures/on'
import { exampleJob } from '../../tests/fixtures/job'
import type { Finding, Stage } from '../finding'
import type { Job, Wall } from '../job'
import { asBuilt } from '../log'
import { rulesFor } from '../rules'
import { textToString } from '../units'
import { contextOf, planWall } from './index'
import { standingOf } from './stageStates'
import { whatNow } from './whatNow'

const notes = (findings: Finding[]) => findings.filter(({ severity }) => severity === 'note')
function nextOf(job: Job, id: string, { change = () => {}, keep = (all: Finding[]) => all }: {
  change?: (wall: Wall) => void
  keep?: (findings: Finding[]) => Finding[]
} = {}) {
  const wall = job.walls.find(each => each.id === id)!
  change(wall)
  const log = job.log.filter(entry => entry.wall === id)
  const plan = planWall(wall, contextOf(job), asBuilt(log, wall))
  const now = standingOf({
    wall, plan, findings: keep(plan.findings), log, catalogue: job.catalogue, rules: rulesFor(job, wall),
    units: 'metric',
  })
  return (stage: Stage) => {
    const next = whatNow(stage, now)
    return next && [textToString(next.says, 'metric'), next.stage, next.panel]
  }
}

describe('what is to be done next', () => {
  it('is a stop of the stage, then the stop that it waits for', () => {
    const cafe = nextOf(demoJob('holm-point'), 'cafe')
    expect(cafe('mount')?.slice(0, 2)).toEqual(['Cure 1 stop: it is listed above.', 'mount'])
    expect(cafe('mark')).toEqual(['Cure 1 stop first.', 'mount', undefined])
  })

  it('is what the stage lacks, and once it is complete the next stage that is not', () => {
    const bare = nextOf(exampleJob(), 'w1', { change: (wall) => { wall.arrays = [] } })
    expect(bare('arrange')).toEqual(['Add an array of screens.', 'arrange', 'grid'])
    const planned = nextOf(exampleJob(), 'w1', { keep: notes })
    expect(planned('fix')).toEqual(['This stage is complete.', 'wire', undefined])
    expect(planned('wire')).toEqual(['Add the circuits and outlets that feed the screens.', 'wire', 'power'])
    expect(planned('mark')).toEqual(['Issue the mark-out.', 'mark', 'issue'])
    const job = exampleJob()
    wired(on(job))
    const shut = (wall: Wall) => { wall.void = { above: 'none', below: 'none' } }
    const closed = nextOf(job, 'w1', { keep: notes, change: shut })
    // The others are fed from the first.
    expect(closed('wire')).toEqual(['Find a route to 1 box.', 'wire', 'routes'])
  })

  it('leads through the demo to a stage that is not done', () => {
    const hall = nextOf(demoJob('holm-point'), 'ticket-hall', { keep: notes })
    expect(hall('survey')).toEqual(['This stage is complete.', 'hang', undefined])
    expect(hall('hang')).toEqual(['Drill 36 holes.', 'hang', 'holes'])
    const lounge = nextOf(demoJob('ravel-sands'), 'lounge', { keep: notes })
    expect([lounge('mark'), lounge('true')]).toEqual([
      ['This stage is complete.', 'true', undefined],
      [expect.stringContaining('eams'), 'true', expect.stringMatching(/^(read|turn)$/)],
    ])
  })
})
