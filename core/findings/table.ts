import { FINDINGS_BY_STAGE } from './index'
import type { FindingKind } from './finding'

const HEAD = `# Every finding

Generated from the tables of the stages: \`npm run -s wt -- findings\`. A stop must not be built: it blocks issuing a
mark-out until it is cleared, or until a named person overrides it with a reason. Some stops are never overridden.
`

const cell = (text: string) => text.replaceAll('|', '\\|')

function lineOf([code, { severity, meaning, cure = '', never }]: [string, FindingKind]): string {
  const said = typeof severity === 'string' ? severity : severity.join(' or ')
  const overridden = !said.startsWith('stop') ? '' : never ? 'never' : 'with a reason'
  return `| \`${code}\` | ${said} | ${overridden} | ${cell(meaning)} | ${cell(cure)} |`
}

/** All findings by stage as Markdown: code, severity, whether it can be overridden, meaning and cure. */
export function findingTable(): string {
  const stages = Object.entries(FINDINGS_BY_STAGE).map(([stage, table]) => [
    `\n## ${stage[0]!.toUpperCase()}${stage.slice(1)}\n`,
    '| code | severity | override | meaning | cure |', '|---|---|---|---|---|',
    ...Object.entries(table).map(lineOf), '',
  ].join('\n'))
  return `${HEAD}${stages.join('')}`
}
