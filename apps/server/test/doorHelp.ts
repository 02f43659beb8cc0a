import type { Seat, Seated } from '@sure-spool/contract'
import { canonical } from '@sure-spool/contract/canonical'
import { createHmac } from 'node:crypto'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import request, { type Test } from 'supertest'
import type { World } from './world'

export const setupCode = 'ABCD-2345'
export const owner = {
  code: setupCode,
  shop: 'Sallow Quay Bench',
  name: 'Ines Okafor-Lind',
  pin: '4711',
  password: 'a long winter on the quay',
  bench: 'window bench',
}

/** A browser: it keeps the cookie it is given and names the seat of whoever sits there. */
export class Browser {
  cookie = ''
  seat: (Seat & { key: string }) | undefined

  constructor(private world: World) {}

  ask(method: 'get' | 'post' | 'put' | 'delete', path: string): Test {
    const asked = request(this.world.app)[method](`/api/v1${path}`)
    if (this.cookie !== '') asked.set('Cookie', this.cookie)
    if (this.seat) asked.set('Sure-Spool-Seat', this.seat.id)
    return asked
  }

  /** Sends what answers with a cookie, and keeps it. */
  async comeIn(path: string, body: object): Promise<{ status: number; body: Seated; cookie: string }> {
    const answer = await this.ask('post', path).send(body)
    const cookie = String((answer.headers['set-cookie'] as unknown as string[] | undefined)?.[0] ?? '')
    if (cookie !== '') this.cookie = cookie.split(';')[0] ?? ''
    const { seat } = answer.body as Partial<Seated>
    if (seat) this.seat = seat as Seat & { key: string }
    return { status: answer.status, body: answer.body as Seated, cookie }
  }

  async sit(person: string, pin: string): Promise<number> {
    const answer = await this.ask('post', '/door/seats').send({ person, pin })
    if (answer.status === 201) this.seat = answer.body as Seat & { key: string }
    return answer.status
  }

  /** The seal of whoever sits here on a document, as the browser makes it. */
  seal(body: unknown): { seat: string; mac: string } {
    if (!this.seat) throw new Error('nobody sits here')
    const mac = createHmac('sha256', Buffer.from(this.seat.key, 'hex')).update(canonical(body)).digest('hex')
    return { seat: this.seat.id, mac }
  }
}

/** One statement past the server, as when time goes by. @returns its rows */
export async function inDatabase(url: string, sql: string, values: unknown[] = []): Promise<RowDataPacket[]> {
  const connection = await createConnection(url)
  try {
    const [rows] = await connection.query<RowDataPacket[]>(sql, values)
    return rows
  } finally {
    await connection.end()
  }
}
