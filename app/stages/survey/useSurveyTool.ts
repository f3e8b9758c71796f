import type { Evidence } from '~~/core/job'
import { USUAL_PLACES } from '~~/core/survey'

/** What a hand on the elevation enters in Survey. */
export type SurveyTool
  = | { enters: 'reading', method: Evidence['method'], answer?: Partial<Evidence> }
    | { enters: 'member' }
    | { enters: 'feature', kind: string }
    | { enters: 'surface' }

/** Parts of the survey, each with a bench panel of its own. */
export const SURVEY_PANELS = [
  { id: 'readings', title: 'Readings' }, { id: 'wall', title: 'Wall' }, { id: 'layers', title: 'Layers' },
  { id: 'loads', title: 'Loads' }, { id: 'features', title: 'Features' }, { id: 'flatness', title: 'Flatness' },
] as const
export type SurveyPanel = typeof SURVEY_PANELS[number]['id']

/** Which part of the survey is worked on, and what pointing at the wall enters. */
export const useSurveyTool = () => ({
  panel: useScreenState<SurveyPanel>('survey-panel', () => 'readings'),
  tool: useScreenState<SurveyTool | undefined>('survey-tool', () => undefined),
  /** Height above the floor that typed readings are given, mm. */
  height: useScreenState<number>('survey-height', () => USUAL_PLACES[useWallStore().siteUnits].height),
  /** The reference by which readings of the far side come over; empty for the front. */
  behind: useScreenState<string>('survey-behind', () => ''),
  importing: useScreenState<File | undefined>('survey-importing', () => undefined),
})
