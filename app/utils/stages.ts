import type { Stage } from '~~/core/finding'

/** A stage on the plumb line: what it is for, and whether it can be worked yet. */
export interface StageInfo { id: Stage, title: string, does: string, built: boolean }

export const STAGE_INFO: StageInfo[] = [
  { id: 'survey', title: 'Survey', does: 'What the wall is and where its structure lies', built: true },
  { id: 'arrange', title: 'Arrange', does: 'Which displays, how many, and where', built: true },
  { id: 'mount', title: 'Mount', does: 'Where each plate goes, and into what', built: true },
  { id: 'fix', title: 'Fix', does: 'What holds it, screw by screw', built: true },
  { id: 'wire', title: 'Wire', does: 'Ahead: circuits, routes, cable lengths', built: false },
  { id: 'mark', title: 'Mark', does: 'The sheet that goes to the wall', built: true },
  { id: 'hang', title: 'Hang', does: 'Hole by hole, with what the drill met', built: true },
  { id: 'true', title: 'True', does: 'Ahead: which adjuster, how many turns', built: false },
  { id: 'close', title: 'Close', does: 'Ahead: the pack that is handed over', built: false },
]

export const isBuilt = (stage: string): stage is Stage => STAGE_INFO.some(({ id, built }) => built && id === stage)
