import type { PathProblem } from '@sure-spool/contract'
import type { Here } from '../here'

/** What a worker is asked to do, each with its input; a result goes back as JSON text. */
export interface HeavyInputs {
  'import-shop': { bytes: Uint8Array; by: string | null }
  'import-shop-lines': { file: string; by: string | null }
  'import-cards': { bytes: Uint8Array; lines: boolean; by: string | null }
  'preview-figures': { bytes: Uint8Array; by: string }
  'keep-figures': { preview: string; by: string }
}
export type HeavyJob = keyof HeavyInputs

export type ToWorker =
  | { [J in HeavyJob]: { id: number; job: J; input: HeavyInputs[J]; from: Here | undefined } }[HeavyJob]
  | { id: number; callOff: true }

export type FromWorker = { id: number } & (
  | { done: number; of: number }
  | { result: string }
  | { problem: { status: number; kind: string; detail: string; errors: PathProblem[] }; stack?: string }
)
