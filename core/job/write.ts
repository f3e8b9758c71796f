import type { ArraySchema, Lazy, ObjectSchema, Schema } from 'yup'
import { jobSchema, type Job } from './job'

/** A copy with each object's keys in the schema's order; keys the schema does not know come last, as they came. */
function inOrder(value: unknown, rules: Schema | Lazy<unknown> | undefined): unknown {
  const schema = rules?.type === 'lazy' ? (rules as Lazy<unknown>).resolve({ value }) : rules
  if (Array.isArray(value)) {
    const item = (schema as ArraySchema<unknown[], object> | undefined)?.innerType as Schema | undefined
    return value.map(entry => inOrder(entry, item))
  }
  if (value === null || typeof value !== 'object') return value
  const fields = (schema as ObjectSchema<object> | undefined)?.fields as Record<string, Schema> | undefined ?? {}
  const given = value as Record<string, unknown>
  const known = Object.keys(fields).filter(key => given[key] !== undefined)
  const unknown = Object.keys(given).filter(key => !Object.hasOwn(fields, key) && given[key] !== undefined)
  return Object.fromEntries([...known, ...unknown].map(key => [key, inOrder(given[key], fields[key])]))
}

/**
 * A job as its file: keys in the format's order, two spaces, a final line break, so that the same
 * job always gives the same bytes and two versions can be compared line by line.
 */
export function writeJob(job: Job): string {
  return `${JSON.stringify(inOrder(job, jobSchema), null, 2)}\n`
}
