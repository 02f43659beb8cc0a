import type { RewindView } from '@sure-spool/contract'
import type { Locator } from '@playwright/test'
import type { BenchPage } from './benchPage'
import { expect, type World } from './world'

/** The winder as it is worked: its questions in words, what it says is to do, and what is known beside it. */
export const say = async (bench: BenchPage, words: string): Promise<void> => {
  await expect(bench.page.locator('#ask-words')).toBeFocused()
  await bench.say(words)
}
export const heading = (bench: BenchPage): Locator => bench.page.getByRole('heading', { level: 1 })
export const facts = (bench: BenchPage): Locator => bench.page.getByRole('complementary', { name: 'What is known' })

/** The rewind that is open, as the server has it once all is sent. */
export async function rewindOf(bench: BenchPage, world: World): Promise<RewindView> {
  await bench.allSent()
  const id = new URL(bench.page.url()).pathname.split('/')[2] ?? ''
  return world.get<RewindView>(`/rewinds/${id}`)
}
