import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { ROOT } from './project.mjs'

/** Whether a source may hold any of it: most do not, and are not read as a tree. */
const mayHold = (text: string): boolean =>
  /\sin\s|\bRecord<string,/.test(text.replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, ''))

/** Where a source takes what every object has for what an object says itself: by `in`, or in a list kept as an object that begins empty. */
function looseKeysIn(name: string, text: string): string[] {
  if (!mayHold(text)) return []
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const visit = (node: ts.Node) => {
    const { line } = source.getLineAndCharacterOfPosition(node.getStart(source))
    const at = `${name}:${line + 1} ${node.getText(source)}`
    if (
      ts.isBinaryExpression(node) &&
      node.operatorToken.kind === ts.SyntaxKind.InKeyword &&
      !ts.isStringLiteral(node.left)
    )
      found.push(at)
    const begins = ts.isVariableDeclaration(node) ? node.initializer : undefined
    const empty = begins && ts.isObjectLiteralExpression(begins) && begins.properties.length === 0
    if (empty && ts.isVariableDeclaration(node) && /\bRecord<string,/.test(node.type?.getText(source) ?? ''))
      found.push(at)
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

describe('an id is never the name of a property that every object has', () => {
  const files = ['src', 'cli'].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file) && !/\.(test|testing)\./.test(file))
      .map((file) => join(folder, file)),
  )

  it('nowhere in the sources', () => {
    expect(files.length).toBeGreaterThan(500)
    expect(files.flatMap((file) => looseKeysIn(file, readFileSync(join(ROOT, file), 'utf8')))).toEqual([])
  })

  it('and would be found', () => {
    const loose = "const a = id in jobs\nconst b: Record<string, Plan> = {}\nconst c = 'kind' in thing\n"
    expect(looseKeysIn('made.ts', loose)).toHaveLength(2)
  })
})
