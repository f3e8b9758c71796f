import { expect, testAlone as test } from '../e2e/house'
import { cases } from '../fixtures/soak'
import { spoilt } from '../fixtures/spoilt'

test('spoilt jobs are taken in or refused with their faults, and none ends the server @long', async ({ house }) => {
  const answers = new Map<number, number>()
  const taken: number[] = []
  const count = cases(50)
  for (let seed = 0; seed < count; seed++) {
    const { status, body } = await house.api('/sites/import?copy=1', {
      method: 'POST',
      body: JSON.stringify(spoilt(seed)),
    })
    answers.set(status, (answers.get(status) ?? 0) + 1)
    const answer = JSON.parse(body)
    if (status === 422) expect(answer.error.message).toBeTruthy()
    else taken.push(seed)
  }
  expect([...answers.keys()].sort()).toEqual([201, 422])
  expect(taken.length).toBeGreaterThan(count / 5)
  // Every site that was taken in is given out again, and planned.
  const sites = JSON.parse((await house.api('/sites')).body) as { id: string, walls: { id: string }[] }[]
  for (const { id, walls } of sites.filter((_, n) => n % 10 === 0)) {
    expect((await house.api(`/sites/${id}/job`)).status).toBe(200)
    for (const wall of walls)
      expect((await house.api(`/sites/${id}/walls/${encodeURIComponent(wall.id)}/plan`)).status).toBe(200)
  }
})
