import { arrangeStage } from './arrange'
import { closeStage } from './close'
import { fixStage } from './fix'
import { hangStage } from './hang'
import { markStage } from './mark'
import { mountStage } from './mount'
import type { StageRoom } from './stage'
import { surveyStage } from './survey'
import { trueStage } from './true'
import { wireStage } from './wire'

/** The nine stages in the order of the job. */
export const ROOMS: StageRoom[] = [
  surveyStage,
  arrangeStage,
  mountStage,
  fixStage,
  wireStage,
  markStage,
  hangStage,
  trueStage,
  closeStage,
]

/** The stage of an address; the first where there is none of that name. */
export const roomOf = (id: unknown): StageRoom => ROOMS.find(room => room.id === id) ?? ROOMS[0]!

/** What a stage is called. */
export const titleOf = (id: string): string => ROOMS.find(stage => stage.id === id)?.title ?? id
