import { House } from '../tests/e2e/house'
import { killedWhileStarting, killedWhileWriting } from '../tests/attack/kills'
import { tried } from '../tests/fixtures/fuzz'
import { atMost, measured, type Row } from './row'

/** What was acknowledged and is gone after so many kills while people write, and what is missing after as many during a first start. */
export async function kills(writing: number, starting: number): Promise<Row[]> {
  const house = await House.open()
  const kept = await killedWhileWriting(house, writing)
  await house.close()
  const first = await killedWhileStarting(starting)
  return [
    measured(`Entries acknowledged before ${kept.kills} kills`, kept.entries, ''),
    measured(`Saves acknowledged before ${kept.kills} kills`, kept.saves, ''),
    atMost('  of these gone afterwards', kept.lost.length, 0, ''),
    atMost(`Lists and sites missing after ${first.kills} kills during the first start`, first.missing.length, 0, ''),
  ]
}

/** Spoilt jobs on their way through reading, plan and sheet: how many were taken, and with how many something went wrong. */
export function spoiltJobs(count: number): Row[] {
  const all = Array.from({ length: count }, (_, seed) => tried(seed))
  const wrong = all.flatMap(each => each.wrong)
  for (const each of wrong.slice(0, 10)) console.log(each)
  return [measured(`Spoilt jobs taken, of ${count}`, all.filter(({ taken }) => taken).length, ''), atMost('  of all with which something went wrong', wrong.length, 0, '')]
}
