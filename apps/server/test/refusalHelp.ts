import { beforeAll, describe, expect, test } from '@jest/globals'
import type { Problem } from '@sure-spool/contract'
import { routes } from '@sure-spool/contract/openapi'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import type { Test } from 'supertest'
import { v7 } from 'uuid'
import type { AppOptions } from '../src'
import { cardHelp } from './cardHelp'
import { worldOf } from './world'

/** For a route and a status with which the contract says it refuses: a request, and the words that it must answer with. */
export type Refusals = Record<string, [make: () => Test, words: string]>

/** Somebody, or something, that is not in this shop. */
export const nobody = v7()
/** A body of so many bytes that says nothing. */
export const much = (bytes: number): string => ' '.repeat(bytes)

/** A shop of its own for refusals, and what is asked of it. */
export function refusingShop(
  name: string,
  ready: () => Promise<void> = () => Promise.resolve(),
  house?: AppOptions['house'],
) {
  const world = worldOf(name, house ? { house } : {})
  beforeAll(ready, 60_000)
  const help = cardHelp(world)
  const asJson = (path: string, text: string) =>
    help.api().post(path).set('Content-Type', 'application/json').send(text)
  return { ...help, world, asJson, shop: () => world.shop, url: () => world.url }
}

/** Every refusal that the contract names for some of its paths has its case, answers in words, and keeps nothing. */
export function holdRefusals(of: RegExp, refusals: Refusals, url: () => string): void {
  const declared = routes
    .filter(({ path }) => of.test(path))
    .flatMap(({ method, path, problems }) => problems.map((status) => `${method} ${path} ${status}`))

  describe('every refusal that the contract names', () => {
    test('has its case here, and no other has', () => {
      expect(Object.keys(refusals).sort()).toEqual([...declared].sort())
    })

    test.each(declared)('%s', async (name) => {
      const [make, words] = refusals[name] ?? []
      if (!make || words === undefined) throw new Error(`${name} has no case`)
      const before = await counted(url())
      const answer = await make()
      const problem = answer.body as Problem
      expect([answer.status, problem.detail]).toEqual([Number(name.split(' ').at(-1)), expect.stringContaining(words)])
      expect(answer.headers['content-type']).toContain('application/problem+json')
      expect(problem).toMatchObject({
        status: answer.status,
        title: expect.any(String),
        type: expect.stringMatching(/^\/problems\//),
      })
      expect(await counted(url())).toEqual(before)
    })
  })
}

/** How much there is in every table: a refusal leaves it as it was, but that a wrong guess is counted. */
async function counted(url: string): Promise<Record<string, number>> {
  const connection = await createConnection(url)
  const [tables] = await connection.query<RowDataPacket[]>('SHOW TABLES')
  const counts: Record<string, number> = {}
  for (const name of tables.map((row) => String(Object.values(row)[0])).filter((one) => one !== 'guesses')) {
    const [[row]] = await connection.query<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM \`${name}\``)
    counts[name] = Number(row?.['n'])
  }
  await connection.end()
  return counts
}
