import { proxy, wrap, type Remote } from 'comlink'
import { createGlobalState } from '@vueuse/core'
import { WorkerPool } from './pool'
import type { Studies } from './studies'

/** So many studies run at once: one core is left for the page and one for the live plan. */
const size = () => Math.max(1, Math.min(3, navigator.hardwareConcurrency - 2))

/** The workers for what takes long: remedies, alternatives, studies. */
export const useStudies = createGlobalState(() => new WorkerPool<Remote<Studies>>(() => {
  const worker = new Worker(new URL('./studies.worker.ts', import.meta.url), { type: 'module' })
  return {
    api: wrap<Studies>(worker),
    end: () => worker.terminate(),
    onFailure: (told) => {
      worker.onerror = ({ message }) => told(new Error(message || 'its program is not on this device'))
    },
  }
}, size()))

/** A function that a worker can call. */
export const tellsHere = proxy
