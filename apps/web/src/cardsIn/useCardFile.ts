import type { CardsPreview, FiguresKept, FiguresPreview, ImportedCards, PathProblem } from '@sure-spool/contract'
import type { Card, CardDifference } from '@sure-spool/core'
import { computed, ref, shallowRef } from 'vue'
import { ask, Away, Refused } from '../store/api'
import { follow } from '../store/follow'
import { useShop } from '../store/shop'
import { useFileReading } from './useFileReading'

type Word = 'keep' | 'next'
export const rowKey = ({ id, revision }: { id: string; revision: number }): string => `${id}@${revision}`

/**
 * Taking in a file of cards or figures: read and validated here in a thread of its own, decided by the server from heads and hashes, and
 * kept only when somebody has said so. What is kept refers to what was shown.
 */
export function useCardFile() {
  const shop = useShop()
  const reading = useFileReading()
  const name = ref('')
  const problems = ref<PathProblem[]>([])
  const told = ref('')
  const preview = shallowRef<CardsPreview>()
  const figures = shallowRef<FiguresPreview>()
  const differences = ref<Record<string, CardDifference[]>>({})
  const resolve = ref<Record<string, Word>>({})
  const sending = ref<{ done: number; of: number }>()
  let calledOff = new AbortController()

  const progress = computed(() => reading.progress.value ?? sending.value)
  const working = computed(() => progress.value !== undefined)
  const rows = computed(() => preview.value?.rows ?? [])
  const conflicts = computed(() => rows.value.filter((row) => row.what === 'conflict'))
  const wanted = computed(() => rows.value.filter((row) => row.what !== 'same'))
  const ready = computed(() => {
    if (working.value) return false
    if (figures.value) return figures.value.drafts.length > 0
    const said = conflicts.value.every((row) => resolve.value[rowKey(row)] !== undefined)
    const changes = wanted.value.length > conflicts.value.length || Object.values(resolve.value).includes('next')
    return said && changes
  })

  function forget(): void {
    problems.value = []
    preview.value = figures.value = undefined
    differences.value = {}
    resolve.value = {}
    told.value = name.value = ''
  }

  /** Shows what a file would do; nothing is kept. */
  async function show(file: File): Promise<void> {
    forget()
    name.value = file.name
    if (!shop.person) await shop.load()
    const read = await reading.read(file)
    if (!read) told.value = `${file.name} was called off. Nothing was taken in.`
    else if (read.kind === 'refused') problems.value = read.problems
    else if (read.kind === 'figures') await work(() => showFigures(file))
    else await work(() => showCards(read.heads))
  }

  async function showCards(heads: unknown[]): Promise<void> {
    preview.value = await ask<CardsPreview>('/cards/preview', {
      method: 'POST',
      body: { by: shop.person?.id, cards: heads },
    })
    for (const row of conflicts.value) {
      const ours = await ask<Card>(`/cards/${row.id}/revisions/${row.revision}`)
      differences.value[rowKey(row)] = await reading.there().differences(rowKey(row), ours)
    }
  }

  async function showFigures(file: File): Promise<void> {
    figures.value = await follow<FiguresPreview>(
      `/cards/figures?by=${shop.person?.id ?? ''}`,
      { method: 'POST', file: { bytes: file, type: 'text/csv' } },
      followed(),
    )
  }

  const followed = () => ({
    told: (done: number, of: number) => void (sending.value = { done, of }),
    signal: calledOff.signal,
  })

  /** Keeps what was shown, whole or not at all. */
  const keep = (): Promise<void> => work(() => (figures.value ? keepFigures(figures.value) : keepCards()))

  async function keepCards(): Promise<void> {
    const head = { by: shop.person?.id ?? '', resolve: { ...resolve.value }, preview: preview.value?.preview }
    const bytes = await reading.there().lines(head, wanted.value.map(rowKey))
    const answer = await follow<ImportedCards>(
      '/cards/import',
      { method: 'POST', file: { bytes, type: 'application/x-ndjson' } },
      followed(),
    )
    const next = answer.rows.filter((row) => row.what === 'next').length
    forget()
    told.value = `${answer.kept} ${answer.kept === 1 ? 'card' : 'cards'} taken in${next > 0 ? `, ${next} of them as a draft` : ''}.`
  }

  async function keepFigures({ preview: id }: FiguresPreview): Promise<void> {
    const answer = await follow<FiguresKept>(
      `/cards/figures/${id}/keep`,
      { method: 'POST', body: { by: shop.person?.id } },
      followed(),
    )
    const count = answer.drafts.length
    forget()
    told.value = `${count} ${count === 1 ? 'draft' : 'drafts'} written. Look at each and publish it.`
  }

  async function work(what: () => Promise<void>): Promise<void> {
    calledOff = new AbortController()
    sending.value = { done: 0, of: 1 }
    try {
      await what()
    } catch (error) {
      problems.value = problemsOf(error)
    } finally {
      sending.value = undefined
    }
  }

  function problemsOf(error: unknown): PathProblem[] {
    if (calledOff.signal.aborted) return [{ path: name.value, detail: 'was called off.' }]
    if (error instanceof Refused) return error.problem.errors ?? [{ path: '', detail: error.message }]
    if (error instanceof Away)
      return [{ path: name.value, detail: 'was not taken in: the server is away. Nothing was kept; take it in again.' }]
    throw error
  }

  function callOff(): void {
    reading.callOff()
    calledOff.abort()
  }

  return {
    name,
    problems,
    told,
    rows,
    conflicts,
    differences,
    resolve,
    figures,
    progress,
    working,
    ready,
    show,
    keep,
    callOff,
  }
}
