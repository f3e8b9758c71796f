import { killedKeepers } from '../tests/attack/keeperKills'
import { killedWhileStarting, killedWriters } from '../tests/attack/kills'
import { tried } from '../tests/fixtures/fuzz'
import { atLeast, atMost, measured, type Row } from './row'

/** What was acknowledged and is gone after so many kills of a process that writes. */
export async function kills(writing: number): Promise<Row[]> {
  const kept = await killedWriters(writing)
  return [
    atLeast(`Entries acknowledged before ${kept.kills} kills`, kept.entries, kept.kills, ''),
    atLeast(`Imports acknowledged before ${kept.kills} kills`, kept.imports ?? 0, kept.kills, ''),
    atLeast(`Mark-outs issued before ${kept.kills} kills`, kept.issues ?? 0, kept.kills, ''),
    atLeast(`Saves acknowledged before ${kept.kills} kills`, kept.saves, kept.kills, ''),
    atMost('  of these gone afterwards', kept.lost.length, 0, ''),
  ]
}

/** What went wrong after so many kills of each of backup, restore and migration. */
export async function keepers(count: number): Promise<Row[]> {
  const { kills, wrong } = await killedKeepers(count)
  for (const each of wrong.slice(0, 10)) console.log(each)
  return [atMost(`Lost or half done after ${kills} kills each of backup, restore and migration`, wrong.length, 0, '')]
}

/** What is missing after so many kills of a server during its first start. */
export async function firstStarts(starting: number): Promise<Row[]> {
  const { kills, missing } = await killedWhileStarting(starting)
  return [atMost(`Lists and sites missing after ${kills} kills during the first start`, missing.length, 0, '')]
}

/**
 * Spoilt jobs on their way through reading, plan and sheet: how many were taken, and with how many something went
 * wrong.
 */
export function spoiltJobs(count: number): Row[] {
  const all = Array.from({ length: count }, (_, seed) => tried(seed))
  const wrong = all.flatMap(each => each.wrong)
  for (const each of wrong.slice(0, 10)) console.log(each)
  return [
    measured(`Spoilt jobs taken, of ${count}`, all.filter(({ taken }) => taken).length, ''),
    atMost('  of all with which something went wrong', wrong.length, 0, ''),
  ]
}
