import { proxy, transfer, wrap, type Remote } from 'comlink'
import { onScopeDispose, ref } from 'vue'
import type { FileRead, FileReading } from './fileReading'

/** Reads files in a thread of their own, so that the screen answers all the while; what is called off is ended there and then. */
export function useFileReading() {
  const progress = ref<{ done: number; of: number }>()
  let worker: Worker | undefined
  let reading: Remote<FileReading> | undefined
  let callOffNow: (() => void) | undefined

  function there(): Remote<FileReading> {
    worker ??= new Worker(new URL('./fileReading.worker.ts', import.meta.url), { type: 'module' })
    reading ??= wrap<FileReading>(worker)
    return reading
  }

  /** @returns what the file is; undefined where it was called off */
  async function read(file: File): Promise<FileRead | undefined> {
    progress.value = { done: 0, of: 1 }
    const bytes = new Uint8Array(await file.arrayBuffer())
    const calledOff = new Promise<undefined>((resolve) => (callOffNow = () => resolve(undefined)))
    const told = proxy((done: number, of: number) => void (progress.value = { done, of }))
    const found = await Promise.race([calledOff, there().read(file.name, transfer(bytes, [bytes.buffer]), told)])
    progress.value = undefined
    return found
  }

  function callOff(): void {
    worker?.terminate()
    worker = reading = progress.value = undefined
    callOffNow?.()
  }
  onScopeDispose(callOff)
  return { progress, read, callOff, there }
}
