import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { pino, type Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { v7 } from 'uuid'
import { ping, type Database } from './database/connect'
import type { HeavyWork } from './heavy/heavyWork'
import { comesIn, type House } from './http/comesIn'
import { answers } from './http/handle'
import { errorHandler } from './http/errors'
import { ownNames, ownPagesOnly } from './http/ownPages'
import { limitedByAddress, limitedByPerson } from './http/limited'
import { ProblemError } from './http/problem'
import { apiRoutes } from './routes/api'

export interface AppOptions {
  database: Database
  /** does what would hold up every other request */
  heavy: HeavyWork
  version: string
  /** the built web app; without it only the API is served */
  webRoot?: string
  logger?: Logger
  /** requests a minute from one address; a bench makes a few dozen */
  requestsAMinute?: number
  /** and from one person, on whatever bench: a whole shop may stand behind one address */
  requestsOfPerson?: number
  /** how people come in */
  house: House
  /** stands behind a proxy on this machine, which says whom it speaks for */
  behindProxy?: boolean
  /** the folder in which backups are kept, if any are */
  backups?: string | undefined
  /** host names it answers to, beside those of this machine */
  hosts?: readonly string[]
}

/** The whole application behind HTTP. It keeps nothing between requests but what it can read again. */
export function createApp({
  database,
  heavy,
  version,
  webRoot,
  logger = pino({ level: 'silent' }),
  requestsAMinute = 3000,
  requestsOfPerson = 1500,
  hosts = [],
  house,
  behindProxy = false,
  backups,
}: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  // no answer of the API is stored anywhere, so none needs a mark to be known again by
  app.disable('etag')
  if (behindProxy) app.set('trust proxy', 'loopback')
  app.use(
    pinoHttp({
      logger,
      genReqId: (request, response) => {
        const given = request.headers['x-request-id']
        const id = typeof given === 'string' && /^[\w-]{1,64}$/.test(given) ? given : v7()
        response.setHeader('X-Request-Id', id)
        return id
      },
      serializers: {
        req: ({ id, method, url }: { id: string; method: string; url: string }) => ({ id, method, url }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
      autoLogging: { ignore: (request) => request.url === '/healthz' || request.url === '/readyz' },
    }),
  )
  app.use(security(house.house === 'shut' && house.secure))
  app.use(ownPagesOnly([...ownNames, ...hosts]))
  // to press what fits a few packets takes longer than to send it
  app.use(compression({ threshold: '8kb' }))

  app.get('/healthz', (_request, response) => {
    response.json({ alive: true, version })
  })
  app.get(
    '/readyz',
    answers(async () => {
      await ping(database)
      return { ready: true }
    }),
  )
  app.use(
    '/api/v1',
    limitedByAddress(requestsAMinute),
    noStore,
    named(webRoot),
    comesIn(database, house),
    limitedByPerson(requestsOfPerson),
    apiRoutes({ database, heavy, version, house, backups }),
  )
  app.use(['/api', '/assets'], webRoot === undefined ? missing : assetsThenMissing(webRoot))
  if (webRoot !== undefined) serveWeb(app, webRoot)
  app.use(missing)
  app.use(errorHandler)
  return app
}

const missing: express.RequestHandler = (request, _response, next) => {
  next(
    new ProblemError(
      404,
      'not-found',
      `${request.method} ${request.originalUrl.slice(0, 200)} is not an address of this server.`,
    ),
  )
}

const noStore: express.RequestHandler = (_request, response, next) => {
  response.setHeader('Cache-Control', 'no-store')
  next()
}

/** Says which build of the web app it serves, so that a page of an older one hears of it. */
function named(webRoot: string | undefined): express.RequestHandler {
  const page = webRoot === undefined ? undefined : join(webRoot, 'index.html')
  if (page === undefined || !existsSync(page)) return (_request, _response, next) => next()
  const build = createHash('sha256').update(readFileSync(page)).digest('hex').slice(0, 12)
  return (_request, response, next) => {
    response.setHeader('Sure-Spool-Build', build)
    next()
  }
}

function security(safe: boolean): express.RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: safe ? { maxAge: 31_536_000 } : false,
    referrerPolicy: { policy: 'same-origin' },
  })
}

function assetsThenMissing(webRoot: string): express.RequestHandler {
  const assets = express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '365d', index: false })
  return (request, response, next) => {
    if (request.baseUrl !== '/assets') missing(request, response, next)
    else assets(request, response, () => missing(request, response, next))
  }
}

function serveWeb(app: Express, webRoot: string): void {
  if (!existsSync(join(webRoot, 'index.html')))
    throw new Error(`No built web app in ${webRoot}. Run npm run build first.`)
  const fresh = { 'Cache-Control': 'no-cache' }
  app.use(express.static(webRoot, { index: false, setHeaders: (response) => response.set(fresh) }))
  app.get('/{*path}', (_request, response) => {
    response.set(fresh).sendFile(join(webRoot, 'index.html'))
  })
}
