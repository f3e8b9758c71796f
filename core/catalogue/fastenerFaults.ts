import type { Fastener, Fault } from '../job'
import { textToString, words } from '../units'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** What cannot be about a fastener's figures against each other. */
export function fastenerFigureFaults({ diameter, length, root, thread }: Fastener): Fault[] {
  return [
    ...root !== undefined && root > diameter ? [{ path: '$.root', message: `The root is ${mm(root - diameter)} mm thicker than the shank` }] : [],
    ...thread !== undefined && thread > length ? [{ path: '$.thread', message: `The thread is ${mm(thread - length)} mm longer than the screw` }] : [],
  ]
}
