import type { StageState } from '~~/core/plan/stageStates'

/** What a stage's state is called. */
export const STAGE_BADGE_WORDS: Record<StageState, string> = {
  'stop': 'stop',
  'caution': 'caution',
  'settled': 'complete',
  'in hand': 'in progress',
  'waits': 'waiting',
  'not started': 'not started',
}

/** How a stage's state is drawn as a knot: by its mark and by its colour. */
export const STAGE_BADGE_MARKS: Record<StageState, string> = {
  'stop': '✕',
  'caution': '!',
  'settled': '✓',
  'in hand': '•',
  'waits': '…',
  'not started': '',
}
export const STAGE_BADGE_LOOKS: Record<StageState, string> = {
  'stop': 'bg-stop text-paper border-stop',
  'caution': 'bg-caution-wash text-caution border-caution',
  'settled': 'bg-good text-paper border-good',
  'in hand': 'bg-paper text-ink border-ink',
  'waits': 'bg-rail text-ink border-ink border-dashed',
  'not started': 'bg-paper text-ink border-edge',
}
