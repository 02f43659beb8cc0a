import type { ChildProcess } from 'node:child_process'

export interface RunningDatabase {
  port: number
  url: string
  child: ChildProcess | null
  /** it ran already, and is not ours to stop */
  found: boolean
  stop: () => Promise<void>
}
export function startDatabase(
  folder: string,
  options?: { password?: string; wanted?: number; more?: string[] },
): Promise<RunningDatabase>
export function anyPort(): Promise<number>
export function portFree(port: number, host?: string): Promise<boolean>
