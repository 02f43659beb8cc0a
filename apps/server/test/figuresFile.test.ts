import { describe, expect, test } from '@jest/globals'
import type { FiguresKept, FiguresPreview } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { cardHelp } from './cardHelp'
import { worldOf } from './world'

const world = worldOf('figures_file')
const { api, by, cardNamed, draft, write, publish } = cardHelp(world)

describe('figures as CSV', () => {
  const send = async (text: string | Buffer) => {
    const answer = await api()
      .post('/api/v1/cards/figures')
      .query({ by: by() })
      .set('Content-Type', 'text/csv')
      .send(text)
    return { status: answer.status, body: answer.body as FiguresPreview & { detail: string } }
  }
  const keep = async ({ preview }: FiguresPreview) => {
    const answer = await api().post(`/api/v1/cards/figures/${preview}/keep`).send({ by: by() })
    return { status: answer.status, body: answer.body as FiguresKept & { detail: string } }
  }
  const rows = (body: FiguresPreview & { detail?: string }) => {
    if (!body.rows) throw new Error(body.detail)
    return body.rows.map((row) => row.what)
  }

  test('what is given out changes nothing when it comes back', async () => {
    const { text } = await api().get('/api/v1/cards/figures.csv')
    expect(text).toContain('limit (Ω)')
    const { body } = await send(text)
    expect(new Set(rows(body))).toEqual(new Set(['same']))
    expect(body.drafts).toEqual([])
  })

  test('says row by row what will happen, and does it only when asked', async () => {
    const text = [
      'maker,model,check,kind,from,to,limit (Ω),source,grade',
      'Fernhollow,F2,coil,resistance,red,black,318 ±10%,shop book,told',
      'Fernhollow,F2,second coil,,red,white,0.66–0.90,shop book,told',
      'Fernhollow,F2,coil,,red,black,320 ±5%,bench,measured',
      'Fernhollow,F2,third,,red,green,about right,shop book,told',
      'Fernhollow,F2,fourth,,red,green,=1+1,shop book,told',
      ',,lost,,a,b,5 ±5%,,',
    ].join('\n')
    const { body } = await send(text)
    expect(rows(body)).toEqual(['new-card', 'new-check', 'another-limit', 'refused', 'refused', 'refused'])
    expect(body.rows[3]).toMatchObject({ row: 5, detail: expect.stringContaining('cannot be read') })
    expect(body.rows[4]?.detail).toContain('formula')
    const [made] = body.drafts
    expect((await api().get(`/api/v1/cards/${made?.id}`)).status).toBe(404)
    const kept = await keep(body)
    const { card } = (await api().get(`/api/v1/cards/${kept.body.drafts[0]?.id}`)).body as { card: Card }
    expect(card).toMatchObject({ state: 'draft', revision: 1, name: { maker: 'Fernhollow', model: 'F2' } })
    expect(card.checks.map((check) => check.limits.length)).toEqual([0, 2, 1])
    expect(card.checks[1]?.limits[0]?.limit).toEqual({ kind: 'nominal', value: 318, minusPct: 10, plusPct: 10 })
  })

  test('a published card gets a draft of its next revision and stays as it is', async () => {
    const card = cardNamed('C3 cold-room compressor')
    const check = card.checks.find((one) => one.kind === 'insulation')
    const text = `maker;model;check;limit (insulation MΩ);for;source;grade\nBrindlecote;C3 cold-room compressor;${check?.label};> 5;rewound;shop;measured`
    const { body } = await send(text)
    expect(body).toMatchObject({ delimiter: ';', drafts: [{ id: card.id, revision: card.revision + 1 }] })
    const stale = await send(text)
    expect((await keep(body)).status).toBe(200)
    expect((await keep(body)).status).toBe(404)
    expect(await keep(stale.body)).toMatchObject({
      status: 409,
      body: { detail: expect.stringContaining('has changed since you looked') },
    })
    const next = (await api().get(`/api/v1/cards/${card.id}/revisions/${card.revision + 1}`)).body as Card
    expect(next.checks.find((one) => one.id === check?.id)?.limits.at(-1)?.limit).toEqual({
      kind: 'insulation',
      minOhms: 5e6,
    })
    expect((await api().get(`/api/v1/cards/${card.id}`)).body.card).toEqual(card)
  })

  test('byte-order mark, UTF-16, decimal commas and another delimiter are read', async () => {
    const table = 'maker;model;check;from;to;limit (kΩ)\r\nFernhollow;F9;coil;a;b;4,35 ±7%'
    const marked = await send(`\uFEFF${table}`)
    expect(marked.body).toMatchObject({ decimalComma: true, rows: [{ what: 'new-card' }] })
    const wide = await send(Buffer.from(`\uFEFF${table}`, 'utf16le'))
    const made = (await keep(wide.body)).body.drafts[0]
    const { card } = (await api().get(`/api/v1/cards/${made?.id}`)).body as { card: Card }
    expect(card.checks[1]?.limits[0]?.limit).toMatchObject({ value: 4350 })
  })

  test('the wrong encoding, no columns, no rows, too large: a sentence, and nothing is kept', async () => {
    const latin = Buffer.from('maker,model,check,limit (Ω)\nB\xf6hm,x,c,5 ±5%', 'latin1')
    expect(await send(latin)).toMatchObject({ status: 422, body: { detail: expect.stringContaining('UTF-8') } })
    expect((await send('a,b\n1,2')).body.detail).toContain('names no column "model"')
    expect((await send('maker,model,check,limit (Ω)')).body.detail).toContain('no rows')
    expect((await send('model,check,limit (furlong)\nx,y,5')).body.detail).toContain('furlong')
    expect((await send('x'.repeat(9_000_000))).status).toBe(413)
  })

  test('twenty thousand rows onto one card are read one after another, what is too many stays out', async () => {
    const row = (i: number) => `Fernhollow,F20,check ${i % 400},,red,black,${i + 1} ±10%,book ${i % 90}`
    const table = [
      'maker,model,check,kind,from,to,limit (Ω),source',
      ...Array.from({ length: 19_999 }, (_, i) => row(i)),
    ]
    const { body } = await send(table.join('\n'))
    const count = (what: string) => body.rows.filter((one) => one.what === what).length
    expect(body.rows).toHaveLength(19_999)
    expect(body.drafts).toHaveLength(1)
    expect(count('refused')).toBeGreaterThan(0)
    expect(body.rows.find((one) => one.what === 'refused')?.detail).toMatch(/more than (400 checks|40 limits)/)
    expect((await send([...table, row(0), row(1)].join('\n'))).body.detail).toContain('at most 20000')
  })

  test('says how far it is every two hundred rows, and stops where nobody waits any more', async () => {
    const table = [
      'model,check,limit (Ω)',
      ...Array.from({ length: 401 }, (_, i) => `Fernhollow long,check ${i % 9},${i + 1}`),
    ]
    const input = () => ({ bytes: new TextEncoder().encode(table.join('\n')), by: by() })
    const told: [number, number][] = []
    await world.heavy.run('preview-figures', input(), { told: (done, of) => void told.push([done, of]) })
    expect(told).toEqual([0, 200, 400].map((done) => [done, 401]))
    const controller = new AbortController()
    const { signal } = controller
    const work = world.heavy.run('preview-figures', input(), { told: () => controller.abort(), signal })
    await expect(work).rejects.toMatchObject({ kind: 'called-off' })
  })

  test('what is said of a row is cut where its words are very long', async () => {
    const [maker, model, check, limit] = ['m', 'n', 'c', 'l'].map((one) => one.repeat(250))
    const { body } = await send(`maker,model,check,limit (Ω)\n${[maker, model, check, limit].join(',')}`)
    expect(body.rows).toMatchObject([
      {
        what: 'refused',
        ...Object.fromEntries(
          Object.entries({ maker, model, check, limit }).map(([of, words]) => [of, words?.slice(0, 200)]),
        ),
      },
    ])
  })

  test('formulas in names are defused on the way out', async () => {
    const card = draft({ name: { maker: '=cmd()', model: '@sum', partNumbers: [], fits: [] } })
    await publish(card, (await write(card)).body.hash)
    const { text } = await api().get('/api/v1/cards/figures.csv').query({ ids: card.id })
    expect(text).toContain("'=cmd()")
    expect(text).toContain("'@sum")
    const { body } = await send(text)
    expect(body.rows.filter((row) => row.what !== 'same')).toEqual([])
  })
})
