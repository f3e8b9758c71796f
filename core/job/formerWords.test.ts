import { expect, it } from 'vitest'
import { datumOf } from '../mark/datum'
import { exampleWall } from '../../tests/fixtures/job'
import { saidToday } from './index'

it('says what earlier versions wrote as it is said today, and leaves people’s own words alone', () => {
  expect(saidToday('laser cross on the middle of Departures')).toBe('laser cross on the centre of Departures')
  expect(saidToday('After what the drill met we moved on')).toBe('After what the drill met we moved on')
  const wall = { ...exampleWall(), datum: { x: 120, label: 'the hole that is made, a1-r1c1-top-1' } }
  expect(datumOf(wall).label).toBe('drilled hole a1-r1c1-top-1')
  expect(wall.datum.label).toBe('the hole that is made, a1-r1c1-top-1')
})
