import { arrangeStage } from './arrange'
import { fixStage } from './fix'
import { hangStage } from './hang'
import { markStage } from './mark'
import { mountStage } from './mount'
import type { StageAhead, StageRoom } from './stage'
import { surveyStage } from './survey'
import { trueStage } from './true'
import { wireStage } from './wire'

/** The nine stages in the order of the job. */
export const STAGES: (StageRoom | StageAhead)[] = [
  surveyStage,
  arrangeStage,
  mountStage,
  fixStage,
  wireStage,
  markStage,
  hangStage,
  trueStage,
  { id: 'close', title: 'Close', does: 'Ahead: the pack that is handed over', ahead: true },
]

/** The stages that can be worked. */
export const ROOMS = STAGES.filter((stage): stage is StageRoom => !('ahead' in stage))

/** The stage of an address; the first where there is none of that name. */
export const roomOf = (id: unknown): StageRoom => ROOMS.find(room => room.id === id) ?? ROOMS[0]!

/** What a stage is called. */
export const titleOf = (id: string): string => STAGES.find(stage => stage.id === id)?.title ?? id
