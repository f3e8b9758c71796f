import { move, transferableSymbol, valueSymbol } from 'piscina'
import { TASKS, type InputOf, type TaskName } from './tasks'

/** What has its memory to itself; a small buffer shares its with others. */
const isApart = (part: unknown): part is Uint8Array<ArrayBuffer> =>
  part instanceof Uint8Array && part.byteLength === part.buffer.byteLength

/** Bytes that are in an answer, however deep they lie in its lists. */
function bytesIn(answer: unknown): Uint8Array<ArrayBuffer>[] {
  if (isApart(answer)) return [answer]
  return typeof answer === 'object' && answer !== null && !ArrayBuffer.isView(answer)
    ? Object.values(answer).flatMap(bytesIn)
    : []
}

/** One task in a thread of its own. The bytes of its answer are handed over and not copied. */
export default async ({ name, input }: { name: TaskName, input: InputOf<TaskName> }): Promise<unknown> => {
  const answer = await (TASKS[name] as (input: unknown) => unknown)(input)
  const buffers = [...new Set(bytesIn(answer).map(({ buffer }) => buffer))]
  return move({ get [transferableSymbol]() { return buffers }, get [valueSymbol]() { return answer } } as never)
}
