import { framingStudy, worldsStudy } from './framing'
import { probingStudy } from './probing'
import { measure, type Sections } from './sections'
import { firstStarts, keepers, kills, spoiltJobs } from './standing'
import { closing } from './truing'
import { week } from './week'

/** Studies over simulated walls, spoilt jobs and kills: long, and about what holds, not about how fast it is. */
const SECTIONS: Sections = {
  week,
  kills: () => kills(50),
  keepers: () => keepers(50),
  starts: () => firstStarts(30),
  spoilt: () => spoiltJobs(20_000),
  closing: () => closing(800),
  framing: () => told('The framing map over 400 simulated walls for each way of reading', framingStudy(400)),
  worlds: () => [
    ...told(
      'The framing map over 150 simulated walls of each world, one as modelled and others that break what it assumes; '
      + 'read by two kinds',
      worldsStudy(150, 'two kinds'),
    ),
    ...told('Read by edges', worldsStudy(150, 'edges')),
  ],
  probing: () =>
    told(
      'Nails until every plate of a 2 × 3 wall is held, over 40 simulated walls read with a detector',
      probingStudy(40),
    ),
}

/** A study has a table of its own and no aim. */
function told(title: string, table: Record<string, Record<string, string | number>>): [] {
  console.log(title)
  console.table(table)
  return []
}
process.exitCode = (await measure(SECTIONS, process.argv.slice(2))).length > 0 ? 1 : 0
