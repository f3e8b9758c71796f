import { parse } from 'vue/compiler-sfc'
import ts from 'typescript'

/** A text that a user may see, and its line in the file. */
export interface SeenText { line: number, text: string }

/** Two words, or one that begins with a capital: identifiers, paths and classes are not texts. */
const isText = (text: string) => /[A-Za-z’]{2,}[ ,:]+[A-Za-z]{2}/.test(text) || /^\s*[A-Z][a-z]+/.test(text)

/** The string literals of a script, templates in their pieces; imports, types and comments left out. */
function textsOfScript(source: string, first: number): SeenText[] {
  const file = ts.createSourceFile('x.ts', source, ts.ScriptTarget.Latest, true)
  const found: SeenText[] = []
  const note = (node: ts.Node, text: string) => void found.push({
    line: first + file.getLineAndCharacterOfPosition(node.getStart()).line, text: text.replace(/\s*\n\s*/g, ' '),
  })
  /** A sentence that goes over several lines. */
  const joined = (node: ts.Node): string => ts.isBinaryExpression(node)
    ? joined(node.left) + joined(node.right)
    : ts.isStringLiteralLike(node) ? node.text : '…'
  const visit = (node: ts.Node): void => {
    if (ts.isBinaryExpression(node) && node.operatorToken.kind === ts.SyntaxKind.PlusToken) note(node, joined(node))
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node)) return
    if (
      ts.isStringLiteral(node)
      || ts.isNoSubstitutionTemplateLiteral(node)
      || ts.isTemplateHead(node)
      || ts.isTemplateMiddle(node)
      || ts.isTemplateTail(node)
    ) {
      note(node, node.text)
    }
    node.forEachChild(visit)
  }
  visit(file)
  return found
}

/** Texts between tags, in attributes and in the expressions of a template. */
function textsOfTemplate(source: string, first: number): SeenText[] {
  const lines = source.replace(/<!--[\s\S]*?-->/g, '').split('\n')
  return lines.flatMap((line, n) =>
    [
      ...line.matchAll(
        /'([^'\n]*)'|`([^`\n]*)`|>([^<>{}]+)<|(?:label|title|placeholder|hint|alt)="([^"]*)"|^\s*([A-Z][^<>{}"=]*)$/g,
      ),
    ].map(([, ...groups]) => ({ line: first + n, text: groups.find(group => group !== undefined) ?? '' })),
  )
}

/** Every text of a source file that a user may see. */
export function textsIn(path: string, source: string): SeenText[] {
  if (!path.endsWith('.vue')) return textsOfScript(source, 1).filter(({ text }) => isText(text))
  const { descriptor: { template, scriptSetup, script } } = parse(source)
  return [
    ...template ? textsOfTemplate(template.content, template.loc.start.line) : [],
    ...[scriptSetup, script].flatMap(block => block ? textsOfScript(block.content, block.loc.start.line) : []),
  ].filter(({ text }) => isText(text))
}
