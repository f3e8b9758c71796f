import type { Evidence } from '~~/core/job'

/** What a hand on the elevation enters in Survey. */
export type SurveyTool
  = | { enters: 'reading', method: Evidence['method'], answer?: Partial<Evidence> }
    | { enters: 'member' }
    | { enters: 'feature', kind: string }
    | { enters: 'surface' }

/** Parts of the survey, each with a bench leaf of its own. */
export const SURVEY_LEAVES = [
  { id: 'readings', title: 'Readings' }, { id: 'wall', title: 'Wall' }, { id: 'layers', title: 'Layers' }, { id: 'around', title: 'Around' }, { id: 'face', title: 'Face' },
] as const
export type SurveyLeaf = typeof SURVEY_LEAVES[number]['id']

/** Which part of the survey is worked on, and what pointing at the wall enters. */
export const useSurveyTool = () => ({
  leaf: useState<SurveyLeaf>('survey-leaf', () => 'readings'),
  tool: useState<SurveyTool | undefined>('survey-tool', () => undefined),
  /** Height above the floor that typed readings are given, mm. */
  height: useState<number>('survey-height', () => 1500),
  /** The reference by which readings of the far side come over; empty for the front. */
  behind: useState<string>('survey-behind', () => ''),
  importing: useState<File | undefined>('survey-importing', () => undefined),
})
