import { expect, it } from 'vitest'
import { useWallStore } from '~/stores/wall'
import { choose, fill, mountAtWall, press, says } from '~~/tests/fixtures/mounted'
import SurveyBench from './SurveyBench.vue'

it('a wall has its wind with the basis, and its own hand load with the reason', async () => {
  await mountAtWall([SurveyBench], { site: 'ravel-sands', wall: 'arrivals' })
  const store = useWallStore()
  await press('Loads')
  await says('section[aria-label=Survey]', 'Exterior wind')
  await fill('Exterior wind (m/s)', '28')
  expect(store.wall).toMatchObject({ windSpeed: 28 })
  await choose('Wind basis', 'mean-10min')
  expect([store.wall!.windSpeed, store.wall!.wind]).toEqual([undefined, { speed: 28, basis: 'mean-10min' }])
  await fill('Screens above ground', '2600')
  await says('section[aria-label=Survey]', /Wind pressure.*1110\.85 Pa/)
  await choose('Wind basis', '')
  expect([store.wall!.windSpeed, store.wall!.wind]).toEqual([28, undefined])
  await fill('Exterior wind (m/s)', '')
  expect([store.wall!.windSpeed, store.wall!.wind]).toEqual([undefined, undefined])
  await fill('Hand load (N)', '120')
  await fill('Reason for the hand load', 'Behind the queue rail')
  expect(store.wall).toMatchObject({ handForce: 120, handForceReason: 'Behind the queue rail' })
  await fill('Hand load (N)', '')
  expect(store.wall).not.toHaveProperty('handForceReason')
})

it('a wall says where blocking is ruled out', async () => {
  await mountAtWall([SurveyBench], { site: 'holm-point', wall: 'ticket-hall' })
  const store = useWallStore()
  await press('Loads')
  await says('section[aria-label=Survey]', 'Blocking ruled out')
  await press('Rule out blocking in a part')
  const [part] = store.wall!.blockingRuledOut!
  expect(part).toEqual({ x1: 0, x2: store.wall!.width, y1: 0, y2: store.wall!.height })
  await fill('Bottom above floor', '1700')
  expect(store.wall!.blockingRuledOut![0]!.y1).toBe(1700)
  await press('Delete part 1')
  expect(store.wall).not.toHaveProperty('blockingRuledOut')
})
