/** Steps of the run of work, by their kind. */
export const RUN_STEP_KINDS = [
  'check', 'cable', 'drill', 'plates', 'level', 'preset', 'uprights', 'hang', 'secure',
] as const
export type RunStepKind = typeof RUN_STEP_KINDS[number]
/**
 * What an entry about a step is about: one of the run of work, a part or tool of the kit, a question that was asked at
 * the wall, or a whole kind of work.
 */
const STEP_KINDS = [...RUN_STEP_KINDS, 'kit', 'ask', 'task'] as const
export type StepKind = typeof STEP_KINDS[number]

/** A step by its kind and its id among its kind. */
export interface StepRef { kind: StepKind, id: string }

/**
 * How a log entry names a step; nothing else puts kind and id together.
 *
 * @example stepName({ kind: 'plates', id: 'a1' }) // 'plates:a1'
 */
export const stepName = ({ kind, id }: StepRef): string => `${kind}:${id}`

/** The step that a log entry names; undefined for one that no version has named so. */
export function stepOf(name: string): StepRef | undefined {
  const kind = STEP_KINDS.find(kind => name.startsWith(`${kind}:`))
  return kind && { kind, id: name.slice(kind.length + 1) }
}
