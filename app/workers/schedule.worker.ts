import { expose } from 'comlink'
import { planProgramme, whyNotEarlier, type BuiltOf, type Placed, type Planned, type Programme, type WhyNot } from '~~/core/programme'

/** What was worked out last: questions are about it. */
let last: { programme: Programme, placed: Placed[] } | undefined

const scheduler = {
  plan(of: BuiltOf): Planned {
    const { planned, programme } = planProgramme(of)
    last = { programme, placed: planned.placed }
    return planned
  },
  why: (task: string): WhyNot | undefined => last && whyNotEarlier(last.programme, last.placed, task),
}

export type Scheduler = typeof scheduler

expose(scheduler)
