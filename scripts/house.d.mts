import type { BrowserContext } from 'playwright-core'
import type { ChildProcess } from 'node:child_process'

export const ROOT: string
export function tool(name: string): string
export function startServer(
  env: { PORT: string, WT_DATA: string, WT_DEMO?: string, WT_KEYS?: string },
  stdio?: 'inherit' | 'pipe',
): ChildProcess
export function untilAnswering(server: ChildProcess, address: string, seconds?: number): Promise<void>
export function cookieOf(address: string, person?: string): Promise<string>
export function signIn(context: BrowserContext, address: string, person?: string): Promise<void>
export function saveData(context: BrowserContext): Promise<void>
