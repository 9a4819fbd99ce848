import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { ROOT } from './project.mjs'

const CHECKS = join('src', 'core', 'review', 'checks')
const ORDERS = new Set([
  ts.SyntaxKind.LessThanToken,
  ts.SyntaxKind.LessThanEqualsToken,
  ts.SyntaxKind.GreaterThanToken,
  ts.SyntaxKind.GreaterThanEqualsToken,
])
/** What compares, or says how far a fact may be off, under another name. */
const COMPARES = new Set([
  'exceeds',
  'shortOf',
  'atMost',
  'atLeast',
  'between',
  'slackOf',
  'massBracket',
  'partBracket',
  'lengthBracket',
])

/** What of a check's source compares figures: the facts do that, and a check prints what they say. */
function comparisonsIn(name: string, text: string): string[] {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const visit = (node: ts.Node) => {
    const { line } = source.getLineAndCharacterOfPosition(node.getStart(source))
    if (ts.isBinaryExpression(node) && ORDERS.has(node.operatorToken.kind))
      found.push(`${name}:${line + 1} ${node.getText(source)}`)
    const calls = ts.isCallExpression(node) && ts.isIdentifier(node.expression) ? node.expression.text : ''
    const brings = ts.isImportSpecifier(node) ? (node.propertyName ?? node.name).text : ''
    for (const used of [calls, brings]) if (COMPARES.has(used)) found.push(`${name}:${line + 1} ${used}`)
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

describe('the checks', () => {
  it('compare no figures themselves', () => {
    const files = readdirSync(join(ROOT, CHECKS)).filter(
      (name) => name.endsWith('.ts') && !/\.(test|testing)\.ts$/.test(name),
    )
    expect(files.length).toBeGreaterThan(40)
    expect(
      files.flatMap((name) => comparisonsIn(name, readFileSync(join(ROOT, CHECKS, name), 'utf8'))),
    ).toEqual([])
  })

  it('would be caught comparing', () => {
    expect(comparisonsIn('one.ts', 'const over = kg > limit\nif (exceeds(kg, limit)) stop()')).toEqual([
      'one.ts:1 kg > limit',
      'one.ts:2 exceeds',
    ])
    expect(
      comparisonsIn('two.ts', '// a < b\nconst text = "a > b"; const x: Map<string, number> = f<T>()'),
    ).toEqual([])
    expect(comparisonsIn('as.ts', "import { atMost as most } from 'facts'")).toEqual(['as.ts:1 atMost'])
  })
})
