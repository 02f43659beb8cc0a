export interface RunningDatabase {
  port: number
  url: string
  stop: () => Promise<void>
}
export function startDatabase(folder: string, options?: { quickly?: boolean }): Promise<RunningDatabase>
export function anyPort(): Promise<number>
export function portFree(port: number, host?: string): Promise<boolean>
