import type { ChildProcess, StdioOptions } from 'node:child_process'

export const ROOT: string
export const NEXT: string
export function run(
  command: string,
  args: readonly string[],
  environment?: Record<string, string>,
): Promise<number>
export function start(
  args: readonly string[],
  environment?: Record<string, string>,
  stdio?: StdioOptions,
): ChildProcess
export function ensureInstalled(): Promise<void>
export function ensureBuilt(): Promise<void>
export function ensureChromium(): Promise<void>
export function freePort(wanted: number): Promise<number>
export function answers(address: string, child: ChildProcess): Promise<boolean>
export function findChromium(): string | undefined
