import { expose } from 'comlink'
import {
  planProgramme, whyNotEarlier, type ProgrammeInput, type PlacedTask, type Planned, type Programme, type WhyNot,
} from '~~/core/programme'

/** What was calculated last: questions are about it. */
let last: { programme: Programme, placed: PlacedTask[] } | undefined

const scheduler = {
  plan(of: ProgrammeInput): Planned {
    const { planned, programme } = planProgramme(of)
    last = { programme, placed: planned.placed }
    return planned
  },
  why: (task: string): WhyNot | undefined => last && whyNotEarlier(last.programme, last.placed, task),
}

export type Scheduler = typeof scheduler

expose(scheduler)
