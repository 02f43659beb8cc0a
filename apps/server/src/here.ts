import type { Access } from '@sure-spool/contract'
import { AsyncLocalStorage } from 'node:async_hooks'

/** Where a request comes from: the bench it was made on and who sits there. Neither in an open house, which signs nobody in. */
export interface Here {
  open: boolean
  address: string
  bench?: { id: string; name: string; kind: 'bench' | 'away' }
  seat?: { id: string; person: string; access: Access }
}

const requests = new AsyncLocalStorage<Here>()

/** Does what serves one request, so that all of it knows where the request comes from. */
export const servedFrom = <T>(here: Here, work: () => T): T => requests.run(here, work)

/** Where the request that is being served comes from; nothing outside of one. */
export const here = (): Here | undefined => requests.getStore()
