import { MODEL_KINDS, type ModelKind } from '../../core/catalogue'
import { notFound } from './apiError'

/** The kind of model that an address names. @throws 404 for any other */
export function modelKind(given: string | undefined): ModelKind {
  const kind = MODEL_KINDS.find(kind => kind === given)
  if (!kind) throw notFound('this kind of model')
  return kind
}
