import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import ts from 'typescript'

/** One text that a person may read, and the file and declaration that hold it. */
export interface Sentence {
  readonly place: string
  readonly text: string
}

/** The attributes of an element that a person reads or hears. */
const READ_ATTRIBUTES =
  /^(label|title|alt|placeholder|hint|note|about|words|problem|say|what|name|unstated|heading|aria-(label|description|valuetext|roledescription))$/

const CLASS_TOKEN =
  /^!?(?:[\w-]+:)*-?(?:text|bg|border|p[xytblr]?|m[xytblr]?|w|h|min|max|flex|grid|gap|items|justify|font|leading|btn|badge|alert|col|row|draw|stroke|fill|cursor|overflow|rounded|order|basis|inset|top|left|z|size|whitespace|self|content|divide|decoration|underline|opacity|sr|no|fit|link|input|select|menu|join|table|modal|tab|collapse|loading|progress|toast|card|mind|print|transition|origin|truncate|block|hidden|absolute|relative|sticky|static)(?:-|$|\[)/

/** Whether a text is class names of a style sheet. */
const isClasses = (text: string): boolean => {
  const tokens = text.trim().split(/\s+/)
  return tokens.some((each) => CLASS_TOKEN.test(each)) && !/[.?!’]$|[A-Z][a-z]/.test(text)
}

/** Whether a text has words that a person reads: two words, or one that begins with a capital. */
function isRead(text: string): boolean {
  const words = text.replaceAll(/\{[^}]*\}/g, ' ').match(/\p{L}[\p{L}’'-]*/gu) ?? []
  if (/^[\s\w]*[a-z][\w-]*\.\w+$|^[@.#/]|^\w+\(|^use (client|server)$|^[a-z-]+\/[a-z+.-]+$/.test(text.trim()))
    return false
  if (words.length >= 2) return words.some((word) => word.length > 2) && /\s/.test(text.trim())
  return /^\p{Lu}\p{Ll}{2,}/u.test(text.trim())
}

const SKIPPED_PARENTS: ReadonlySet<ts.SyntaxKind> = new Set([
  ts.SyntaxKind.ImportDeclaration,
  ts.SyntaxKind.ExportDeclaration,
  ts.SyntaxKind.LiteralType,
  ts.SyntaxKind.CaseClause,
  ts.SyntaxKind.ElementAccessExpression,
  ts.SyntaxKind.ExternalModuleReference,
])

const isCompared = ({ parent }: ts.Node): boolean =>
  ts.isBinaryExpression(parent) &&
  [ts.SyntaxKind.EqualsEqualsEqualsToken, ts.SyntaxKind.ExclamationEqualsEqualsToken].includes(
    parent.operatorToken.kind,
  )

const nameOf = (expression: ts.Expression): string =>
  ts.isIdentifier(expression)
    ? expression.text
    : ts.isPropertyAccessExpression(expression)
      ? expression.name.text
      : ts.isCallExpression(expression)
        ? nameOf(expression.expression)
        : '…'

const templateText = (node: ts.TemplateExpression): string =>
  node.head.text +
  node.templateSpans.map(({ expression, literal }) => `{${nameOf(expression)}}${literal.text}`).join('')

/** The declaration that holds a node: the outermost one with a name. */
function holderOf(node: ts.Node): string {
  let name = ''
  for (let at: ts.Node = node; !ts.isSourceFile(at); at = at.parent)
    if (
      (ts.isFunctionDeclaration(at) || ts.isVariableDeclaration(at) || ts.isClassDeclaration(at)) &&
      at.name &&
      ts.isIdentifier(at.name)
    )
      name = at.name.text
  return name
}

/** Every text of a source file that a person may read, in the order of the file. */
export function sentencesIn(path: string, source: string): readonly Sentence[] {
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.Latest, true, kind)
  const found: Sentence[] = []
  const take = (node: ts.Node, text: string) => {
    const tidy = text.replaceAll(/\s+/g, ' ').trim()
    if (isRead(tidy) && !isClasses(tidy))
      found.push({ place: `${path} ${holderOf(node)}`.trim(), text: tidy })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isJsxAttribute(node)) {
      const name = node.name.getText(file)
      if (/[cC]lassName$/.test(name)) return
      if (node.initializer && ts.isStringLiteral(node.initializer)) {
        if (READ_ATTRIBUTES.test(name)) take(node, node.initializer.text)
        return
      }
    }
    if (ts.isJsxText(node)) take(node, node.text)
    else if (ts.isTemplateExpression(node)) take(node, templateText(node))
    else if (
      ts.isStringLiteralLike(node) &&
      !SKIPPED_PARENTS.has(node.parent.kind) &&
      !isCompared(node) &&
      !(ts.isPropertyAssignment(node.parent) && node.parent.name === node)
    )
      take(node, node.text)
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

/** Every text of screens, checks, steps and words, by file. The reader’s room holds patterns of other people’s words, and says none. */
export function allSentences(root: string): readonly Sentence[] {
  const paths = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src', 'cli'], {
    cwd: root,
    encoding: 'utf8',
  })
    .split('\n')
    .filter(
      (path) =>
        /\.tsx?$/.test(path) && !/\.(test|testing|d)\.tsx?$|^src\/(?:demo|core\/reading)\//.test(path),
    )
    .toSorted()
  return paths.flatMap((path) => sentencesIn(path, readFileSync(`${root}/${path}`, 'utf8')))
}

const cell = (text: string): string => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text)

/** The sentences as a CSV file: place, text. */
export const sentencesCsv = (sentences: readonly Sentence[]): string =>
  ['place,text', ...sentences.map(({ place, text }) => `${cell(place)},${cell(text)}`), ''].join('\n')
