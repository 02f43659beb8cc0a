/** One request as it went up. */
export interface Asked {
  method: string
  path: string
  body: unknown
}

type Answer = { status?: number; body?: unknown; headers?: Record<string, string> } | 'lost'

const problem = (status: number, detail: string) => ({
  type: '/problems/test',
  title: 'A problem',
  status,
  detail,
})

/** What stands in for the network: it notes what is asked, and answers as it is told. */
export class FakeServer {
  readonly asked: Asked[] = []
  private answers: { method: string; path: RegExp; answer: (asked: Asked) => Answer }[] = []
  /** nobody answers at all */
  away = false

  constructor() {
    globalThis.fetch = ((url: string, init: RequestInit = {}) => this.fetch(url, init)) as typeof fetch
  }

  /** From now on this is answered so; the last word on a path counts. */
  on(method: string, path: RegExp, answer: Answer | ((asked: Asked) => Answer)): this {
    this.answers.unshift({ method, path, answer: typeof answer === 'function' ? answer : () => answer })
    return this
  }

  refuse(method: string, path: RegExp, status: number, detail = 'refused', headers: Record<string, string> = {}): this {
    return this.on(method, path, { status, body: problem(status, detail), headers })
  }

  of(method: string, path = /./): Asked[] {
    return this.asked.filter((one) => one.method === method && path.test(one.path))
  }

  private async fetch(url: string, { method = 'GET', body }: RequestInit): Promise<Response> {
    if (this.away) throw new TypeError('fetch failed')
    const path = url.replace('/api/v1', '')
    const asked = { method, path, body: typeof body === 'string' ? (JSON.parse(body) as unknown) : undefined }
    this.asked.push(asked)
    await Promise.resolve()
    const found = this.answers.find((one) => one.method === method && one.path.test(path))
    const answer = found?.answer(asked) ?? { status: 404, body: problem(404, 'not there') }
    if (answer === 'lost') throw new TypeError('fetch failed')
    return new Response(JSON.stringify(answer.body ?? {}), {
      status: answer.status ?? 200,
      headers: { 'Content-Type': 'application/json', ...answer.headers },
    })
  }
}
