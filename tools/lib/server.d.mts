import type { ChildProcess } from 'node:child_process'

export interface RunningServer {
  address: string
  child: ChildProcess
  stop: () => Promise<void>
}
export function startServer(options: {
  port: number
  host?: string
  databaseUrl: string
  adminUrl?: string
  openHouse?: boolean
  setupCode?: string
  logFile?: string
  env?: Record<string, string>
}): Promise<RunningServer>
