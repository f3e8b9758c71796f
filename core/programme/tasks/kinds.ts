import type { Stage } from '../../finding'
/** What people of a crew can do. A licensed electrician is one by his licence and not by this table. */
export const SKILLS = ['fitting', 'electrical', 'decorating'] as const
export type Skill = typeof SKILLS[number]
export const SKILL_WORDS: Record<Skill, string> = {
  fitting: 'fitting',
  electrical: 'licensed electrical work',
  decorating: 'filling and painting',
}

/**
 * A kind of work at a wall: what it is counted in, what a piece takes until the firm knows better, and what it asks
 * for.
 */
export interface KindOfWork {
  title: string
  /** The stage of the wall at which it is worked and recorded. */
  stage: Stage
  /** What it is counted in, one and many. */
  piece: [string, string]
  /** What a piece takes while the firm has too few logs of its own, min. */
  minutes: number
  people: number
  skill: Skill
  noisy?: true
  /** Done in one go: it cannot be left half done over a break. */
  whole?: true
  /** What comes before it where the wall has it, and how long it then has to wait, min. */
  after: Partial<Record<WorkKind, number>>
  tools: string
}

/** Filler and paint dry by their makers' sheets; these are usual, and err to the long side, min. */
const [FILLER_DRIES, PAINT_DRIES] = [720, 240]

export const WORK_KINDS = [
  'survey',
  'isolate',
  'mark',
  'boxes',
  'pull',
  'inspect',
  'patch',
  'paint',
  'drill',
  'plates',
  'hang',
  'true',
  'test',
  'hand-over',
] as const
export type WorkKind = typeof WORK_KINDS[number]

/**
 * The work at a wall in the order in which it is usually done. Boxes are opened once the electrician has isolated them,
 * nothing is closed before what it hides was inspected, and nothing hangs before what is dusty or wet about it is over.
 */
export const KINDS: Record<WorkKind, KindOfWork> = {
  'survey': {
    stage: 'survey',
    title: 'Survey',
    piece: ['metre of wall', 'metres of wall'],
    minutes: 12,
    people: 1,
    skill: 'fitting',
    after: {},
    tools: 'detector, magnet, thin nail, tape, laser',
  },
  'isolate': {
    stage: 'wire',
    title: 'Isolate',
    piece: ['wall', 'walls'],
    minutes: 30,
    people: 1,
    skill: 'electrical',
    whole: true,
    after: { survey: 0 },
    tools: 'lock, tags, voltage tester and proving unit',
  },
  'mark': {
    stage: 'mark',
    title: 'Mark out',
    piece: ['mark', 'marks'],
    minutes: 1.5,
    people: 2,
    skill: 'fitting',
    after: { survey: 0, isolate: 0 },
    tools: 'sheet, tape, level line',
  },
  'boxes': {
    stage: 'wire',
    title: 'Cut out for boxes',
    piece: ['box', 'boxes'],
    minutes: 25,
    people: 1,
    skill: 'fitting',
    after: { isolate: 0, mark: 0 },
    tools: 'saw, detector, vacuum',
  },
  'pull': {
    stage: 'wire',
    title: 'Pull cables',
    piece: ['route', 'routes'],
    minutes: 30,
    people: 1,
    skill: 'fitting',
    after: { boxes: 0, mark: 0, isolate: 0 },
    tools: 'fish rods, weighted pull line',
  },
  'inspect': {
    stage: 'wire',
    title: 'Inspect wiring',
    piece: ['wall', 'walls'],
    minutes: 45,
    people: 1,
    skill: 'electrical',
    whole: true,
    after: { pull: 0, boxes: 0, isolate: 0 },
    tools: 'installation tester',
  },
  'patch': {
    stage: 'hang',
    title: 'Patch',
    piece: ['opening', 'openings'],
    minutes: 35,
    people: 1,
    skill: 'decorating',
    after: { pull: 0, boxes: 0, inspect: 0 },
    tools: 'battens, tape, filler',
  },
  'paint': {
    stage: 'hang',
    title: 'Sand and paint',
    piece: ['opening', 'openings'],
    minutes: 25,
    people: 1,
    skill: 'decorating',
    after: { patch: FILLER_DRIES },
    tools: 'sander with vacuum, matching wall paint',
  },
  'drill': {
    stage: 'hang',
    title: 'Drill',
    piece: ['hole', 'holes'],
    minutes: 5,
    people: 2,
    skill: 'fitting',
    noisy: true,
    after: { mark: 0, isolate: 0, boxes: 0 },
    tools: 'drill, bits, vacuum',
  },
  'plates': {
    stage: 'hang',
    title: 'Fit plates',
    piece: ['plate', 'plates'],
    minutes: 12,
    people: 2,
    skill: 'fitting',
    after: { drill: 0, mark: 0 },
    tools: 'torque driver, level',
  },
  'hang': {
    stage: 'hang',
    title: 'Hang',
    piece: ['screen', 'screens'],
    minutes: 18,
    people: 2,
    skill: 'fitting',
    after: { plates: 0, pull: 0, inspect: 0, paint: PAINT_DRIES },
    tools: 'gloves, safety wires',
  },
  'true': {
    stage: 'true',
    title: 'True',
    piece: ['screen', 'screens'],
    minutes: 15,
    people: 2,
    skill: 'fitting',
    after: { hang: 0 },
    tools: 'feeler gauge, level, adjuster keys',
  },
  'test': {
    stage: 'close',
    title: 'Test',
    piece: ['screen', 'screens'],
    minutes: 6,
    people: 1,
    skill: 'fitting',
    whole: true,
    after: { hang: 0, true: 0, inspect: 0 },
    tools: 'test pattern, laptop',
  },
  'hand-over': {
    stage: 'close',
    title: 'Hand over',
    piece: ['wall', 'walls'],
    minutes: 60,
    people: 1,
    skill: 'fitting',
    whole: true,
    after: { test: 0, paint: 0, true: 0, hang: 0 },
    tools: 'handover pack',
  },
}
