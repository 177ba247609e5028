/** The Express application: security first, then the routes, then the pages, then clear faults. */
import express, { type Express } from 'express'
import session from 'express-session'
import compression from 'compression'
import expressStaticGzip from 'express-static-gzip'
import helmet from 'helmet'
import { randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pinoHttp } from 'pino-http'
import { RECIPE_SCHEMA_PATH, recipeJsonSchema } from '@lea/core/schema'
import { IDLE_MS, atLeast, sameOrigin, settleWho } from './auth'
import { plainKeys, shallow } from './body'
import { onFault, unknownRoute } from './fault'
import type { AppContext } from './context'
import { archiveRoutes } from './routes/archive'
import { begunRoutes } from './routes/table/offline-start'
import { arrivalRoutes } from './routes/table/arrivals'
import { cookingRoutes } from './routes/table/cooking'
import { childRoutes } from './routes/children'
import { calendarRoutes } from './routes/calendar'
import { deviceRoutes } from './routes/table/devices'
import { eventRoutes } from './routes/table/events'
import { tapRoutes } from './routes/table/taps'
import { tellsSetting } from './live/told'
import { keepingRoutes } from './routes/keeping'
import { liveRoutes } from './routes/table/feed'
import { mendRoutes } from './routes/table/live-changes'
import { rotationRoutes } from './routes/rotation'
import { packetRoutes } from './routes/packets'
import { paperRoutes } from './routes/papers'
import { postRoutes } from './routes/mail'
import { recordRoutes } from './routes/record'
import { rosterRoutes } from './routes/roster'
import { sessionRoutes } from './routes/sessions'
import { settingRoutes } from './routes/setting'
import { doorRoutes } from './routes/door'
import { linkDoorRoutes } from './routes/link-door'
import { secondScreenRoutes } from './routes/table/second-screen'
import { showDoorRoutes } from './routes/show-door'
import { ownSignInRoutes } from './routes/own-sign-in'
import { adultRoutes } from './routes/adults'
import { wordRoutes } from './routes/own-words'
import { fairShare } from './limits/fair-share'
import { writesPerPerson } from './limits/per-person'
import { healthRoutes } from './health'
import { signInStore } from './sign-in-store'

export function makeApp(context: AppContext): Express {
  const app = express()
  app.disable('x-powered-by')
  // What is asked of /api is never kept, so nothing is worth a digest; files have their own.
  app.set('etag', false)
  if (context.https) app.set('trust proxy', context.proxy)
  app.use(context.stopping.watch, context.metrics.watch)
  const shared = { signIns: signIns(context), writes: writesPerPerson(context.limits.writes) }
  app.use('/api/sessions', tapRoutes(context, shared))
  app.use(
    pinoHttp({
      logger: context.log,
      genReqId: (_req, res) => {
        const id = randomUUID()
        res.setHeader('x-request-id', id)
        return id
      },
      // Nothing of a child or a sign-in is logged: method, path without ids, status and time are enough.
      serializers: {
        req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
          id,
          method,
          url: withoutIds(url),
        }),
        res: (res: { statusCode: number }) => ({ status: res.statusCode }),
      },
      customLogLevel: (_req, res, fault) => (fault || res.statusCode >= 500 ? 'error' : 'debug'),
    }),
  )
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: context.https,
      // Only over https do browsers heed it; on plain http it is a warning in every console.
      crossOriginOpenerPolicy: context.https,
      originAgentCluster: context.https,
    }),
  )
  app.use(healthRoutes(context))
  app.get(RECIPE_SCHEMA_PATH, (_req, res) => {
    res.type('application/schema+json').json(recipeJsonSchema())
  })
  app.use(
    '/api',
    compression({ filter: isWorthPacking }),
    sameOrigin,
    shared.signIns,
    api(context, shared.writes),
  )
  if (context.pages && existsSync(context.pages)) servePages(app, context.pages)
  app.use(unknownRoute)
  app.use(onFault)
  return app
}

/** A path as it is logged: whose it is stands nowhere. */
const withoutIds = (url: string): string =>
  (url.split('?')[0] ?? '').replace(/[0-9a-f]{8}-[0-9a-f-]{27}/gi, ':id').replace(/guest-[^/]+/g, ':guest')

function signIns({ pool, secrets, https, log }: AppContext): express.RequestHandler {
  return session({
    name: 'lea',
    store: signInStore(pool, log),
    secret: [...secrets],
    resave: false,
    saveUninitialized: false,
    rolling: true,
    // Long enough to last through any session at the table.
    cookie: { httpOnly: true, sameSite: 'strict', secure: https, maxAge: IDLE_MS },
  })
}

function api(context: AppContext, writes: express.RequestHandler): express.Router {
  const router = express.Router()
  router.use((_req, res, next) => {
    res.set('cache-control', 'no-store')
    next()
  })
  router.use(doorRoutes(context))
  router.use(linkDoorRoutes(context))
  router.use(showDoorRoutes(context))
  // Who is asking is settled before a body is read.
  router.use(
    settleWho(context.pool),
    writes,
    fairShare(),
    express.json({ limit: '1mb', reviver: plainKeys }),
    shallow,
  )
  router.use(tellsSetting(context))
  router.use(ownSignInRoutes(context))
  router.use(adultRoutes(context))
  router.use(
    '/sessions',
    eventRoutes(context),
    sessionRoutes(context),
    cookingRoutes(context),
    arrivalRoutes(context),
    begunRoutes(context),
    mendRoutes(context),
    rotationRoutes(context),
    paperRoutes(context),
    liveRoutes(context),
    secondScreenRoutes(context),
  )
  router.use('/devices', atLeast('helper'), deviceRoutes(context))
  router.use('/keeping', keepingRoutes(context))
  router.use('/packets', packetRoutes(context))
  router.use('/post', postRoutes(context))
  router.use('/record', recordRoutes(context))
  router.use('/words', wordRoutes(context))
  router.use(calendarRoutes(context))
  router.use(rosterRoutes(context))
  router.use(archiveRoutes(context))
  router.use(childRoutes(context))
  router.use(settingRoutes(context))
  router.use(unknownRoute)
  return router
}

/** News of a table goes out as it comes; whatever else is text is packed. */
const isWorthPacking: compression.CompressionFilter = (req, res) =>
  !String(res.getHeader('content-type')).startsWith('text/event-stream') && compression.filter(req, res)

function servePages(app: Express, pages: string): void {
  // The build has put each of its files beside itself, compressed.
  const packed = { enableBrotli: true, orderPreference: ['br', 'gz'], index: false }
  app.use(
    '/assets',
    expressStaticGzip(join(pages, 'assets'), { ...packed, serveStatic: { immutable: true, maxAge: '1y' } }),
    unknownRoute,
  )
  app.use(expressStaticGzip(pages, { ...packed, serveStatic: { maxAge: 0 } }))
  app.get('/{*path}', (_req, res) => {
    res.set('cache-control', 'no-cache').sendFile(join(pages, 'index.html'))
  })
}
