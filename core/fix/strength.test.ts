import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { Job } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'

/** What is said of what the fastener bears, and whether any utilisation is reported. */
function capacity(change: (job: Job) => void) {
  const job = exampleJob()
  change(job)
  const { findings, arrays } = planWall(job.walls[0]!, job)
  return {
    said: findings
      .filter(({ code }) => code === 'capacity-not-known')
      .map(({ severity, message }) => `${severity}: ${textToString(message, 'metric')}`),
    told: arrays
      .flatMap(({ positions }) => positions.flatMap(({ loads = [] }) => loads.map(({ utilisation }) => utilisation)))
      .filter(utilisation => utilisation !== undefined).length,
  }
}

it('of a screw that does not reach the wood is not known, and a stop', () => {
  expect(
    capacity((job) => {
      job.catalogue.fasteners[0]!.length = 20
    }),
  ).toEqual({ said: ['stop: The capacity of lag is not known: none of the thread of lag is in the wood.'], told: 0 })
})

it('through a plate of no thickness is not known, and a stop', () => {
  expect(
    capacity((job) => {
      job.catalogue.mounts[0]!.plate.thickness = 0
    }),
  ).toEqual({ said: ['stop: The capacity of lag is not known: the thickness under its head is not known.'], told: 0 })
})

it('of a screw that reaches it is told for every screen', () => {
  const { said, told } = capacity(() => {})
  expect([said, told]).toEqual([[], 36])
})
