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
  logFile?: string
}): Promise<RunningServer>
