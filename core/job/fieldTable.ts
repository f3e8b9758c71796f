import type {
  Schema, SchemaDescription, SchemaFieldDescription, SchemaInnerTypeDescription, SchemaObjectDescription,
} from 'yup'
import { ENTRY_SCHEMAS } from '../log/schemas'
import { displaySchema } from './display'
import { fastenerSchema, screwKitSchema } from './fastener'
import { jobSchema } from './job'
import { mountSchema } from './mount'
import { wallSchema } from './wall'
import { boxModelSchema, cableModelSchema } from './wire'

/** One line of the table: where a field is, what it is, what it may be, and whether it has to be there. */
interface Line { path: string, what: string, may: string, needed: boolean }

const typeOf = ({ type, oneOf, meta }: SchemaDescription): string =>
  oneOf.length > 0
    ? oneOf.map(value => `\`${String(value)}\``).join(', ')
    : type === 'number'
      ? meta?.unit || 'number'
      : type === 'array'
        ? 'list'
        : type

/** The fields of a part and of the parts in it, in the order of the file; items of a list stand under `[]`. */
function linesOf(description: SchemaFieldDescription, path: string): Line[] {
  if (description.type === 'lazy') return []
  const described = description as SchemaDescription
  const own: Line = { path, what: described.meta?.label ?? '', may: typeOf(described), needed: !described.optional }
  const fields = (part: SchemaFieldDescription, within: string) =>
    Object.entries((part as SchemaObjectDescription).fields).flatMap(([key, field]) =>
      linesOf(field, `${within}${key}`),
    )
  if (described.type === 'object') return [...path ? [own] : [], ...fields(description, path ? `${path}.` : '')]
  if (described.type !== 'array') return [own]
  const item = (description as SchemaInnerTypeDescription).innerType as SchemaFieldDescription
  return item.type === 'object' ? [own, ...fields(item, `${path}[].`)] : [own]
}

function tableOf(title: string, schema: Schema, leaveOut: (path: string) => boolean = () => false): string {
  const cell = (text: string) => text.replaceAll('|', '\\|')
  const rows = linesOf(schema.describe(), '')
    .filter(({ path }) => !leaveOut(path))
    .map(({ path, what, may, needed }) => `| \`${path}\` | ${cell(may)} | ${needed ? 'yes' : ''} | ${cell(what)} |`)
  return [`## ${title}`, '', '| field | type | required | meaning |', '|---|---|---|---|', ...rows, ''].join('\n')
}

/** Every field of the job file as Markdown, drawn from the rules by which files are read. */
export function fieldTable(): string {
  return [
    '# Every field of the job file',
    '',
    'Generated from the rules that check job files: `npm run -s wt -- fields`. Lengths in mm; `[]` is an item of a '
    + 'list. Rules between fields are in [job-file.md](job-file.md).',
    '',
    tableOf('The job', jobSchema, path => /^(walls|log|catalogue)(\[\]|\.)./.test(path)),
    tableOf('A display', displaySchema),
    tableOf('A mount', mountSchema),
    tableOf('A fastener', fastenerSchema),
    tableOf('A screw kit', screwKitSchema),
    tableOf('A box', boxModelSchema),
    tableOf('A cable', cableModelSchema),
    tableOf('A wall', wallSchema),
    ...Object.entries(ENTRY_SCHEMAS).map(([kind, schema]) =>
      tableOf(
        `An entry of the log: ${kind}`,
        schema,
        path =>
          ['id', 'seq', 'at', 'receivedAt', 'by', 'wall', 'kind', 'prev', 'hash'].includes(path) && kind !== 'hole',
      ),
    ),
  ].join('\n')
}
