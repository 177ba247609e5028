/**
 * What takes long is done off the server's own thread: plans, papers and records, archives, each in threads of its own, each setting in
 * its turn, and each with an end. A thread that is over its time is ended; so is one for which nobody waits any more.
 */
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { MessageChannel, type MessagePort } from 'node:worker_threads'
import { Piscina } from 'piscina'
import type { Plan, PlanRequest } from '@lea/core/plan'
import { Fault } from '../fault'
import type { MadePaper } from '../papers/paper-task'
import type { ArchiveTask, DeskTask, WorkerData } from './tasks'
import { taken, type ToldBack } from './told-back'
import { openTurns, type Bounds, type Turns } from '../limits/turns'

interface Hall extends Bounds {
  script: 'plan' | 'desk' | 'archive'
  /** What one piece of work may take, ms. */
  limitMs: number
  /** Whether it is ended when whoever asked has gone. What is short is done to its end: another thread would take longer to start. */
  endsWhenLeft: boolean
  /** How far it stands back where processors are scarce, from 0 to 19: a table that begins waits for its plan, nobody waits for an archive. */
  nice: number
  /** Of a thread's heap, MB. */
  mostMb: number
}
/** One thread is left for the server itself, where there are that many. */
const THREADS = Math.max(1, Math.min(4, availableParallelism() - 1))

const HALLS = {
  // A refined plan for thirty takes two seconds on a slow machine.
  plans: {
    script: 'plan',
    atOnce: Math.max(2, THREADS),
    atOnceEach: Math.max(1, THREADS - 1),
    mostEach: 60,
    most: 400,
    patienceMs: 20_000,
    limitMs: 10_000,
    nice: 4,
    endsWhenLeft: false,
    mostMb: 256,
  },
  desk: {
    script: 'desk',
    atOnce: THREADS,
    atOnceEach: Math.max(1, THREADS - 1),
    mostEach: 100,
    most: 400,
    patienceMs: 40_000,
    limitMs: 30_000,
    nice: 10,
    endsWhenLeft: false,
    mostMb: 384,
  },
  archives: {
    script: 'archive',
    atOnce: 1,
    atOnceEach: 1,
    mostEach: 1,
    most: 8,
    patienceMs: 60_000,
    limitMs: 10 * 60_000,
    nice: 19,
    endsWhenLeft: true,
    mostMb: 256,
  },
} satisfies Record<string, Hall>
export type HallName = keyof typeof HALLS

interface Scripts {
  /** The door that each worker comes through; where there is none, it comes as it is. */
  door?: URL
  plan: URL
  desk: URL
  archive: URL
}
/** @param dist the folder of the built server */
export const builtScripts = (dist: URL): Scripts => ({
  door: new URL('quiet-worker.js', dist),
  plan: new URL('plan-worker.js', dist),
  desk: new URL('desk-worker.js', dist),
  archive: new URL('archive-worker.js', dist),
})

/** For whom something is done. */
export interface Asker {
  /** Id of the setting. */
  setting: string
  /** Set off where nobody waits for the answer any more. */
  left?: AbortSignal | undefined
}

export interface WorkerPools {
  compile(request: PlanRequest, by: Asker): Promise<Plan>
  /** What a plan costs of a processor, ms: the same on a server that is busy. @param withinMs its end, by the clock on the wall */
  costOf(request: PlanRequest, by: Asker, withinMs: number): Promise<number>
  /** Papers, records, exports: as bytes, ready to be sent. */
  desk(task: DeskTask, by: Asker): Promise<MadePaper>
  /** @param receive is given each piece of the file as it is made; the next is made when it is through */
  archive(task: ArchiveTask, by: Asker, receive?: (piece: Uint8Array) => Promise<void>): Promise<unknown>
  /** How many wait, and how many are being done. */
  loads(): Record<HallName, { waiting: number; running: number }>
  close(): Promise<void>
}

/** @param appUrl the database, as the role that sees one setting at once; empty where nothing is asked of it */
export function startPools(scripts: Scripts, appUrl: string): WorkerPools {
  const open = ({
    script,
    atOnce,
    mostMb,
    nice,
    ...bounds
  }: Hall): { pool: Piscina; turns: Turns; limitMs: number } => ({
    pool: new Piscina({
      filename: fileURLToPath(scripts.door ?? scripts[script]),
      minThreads: 0,
      maxThreads: atOnce,
      idleTimeout: 60_000,
      workerData: { appUrl, nice, script: scripts[script].href } satisfies WorkerData,
      resourceLimits: { maxOldGenerationSizeMb: mostMb },
    }),
    turns: openTurns({ atOnce, ...bounds }),
    limitMs: bounds.limitMs,
  })
  const halls = { plans: open(HALLS.plans), desk: open(HALLS.desk), archives: open(HALLS.archives) }

  /** @throws Fault 503 where too many wait, it takes too long, or it needs more memory than there is for one */
  const run = <T>(
    name: HallName,
    task: unknown,
    { setting, left }: Asker,
    withinMs?: number,
    port?: MessagePort,
  ): Promise<T> => {
    const { pool, turns, limitMs } = halls[name]
    return turns.take(
      setting,
      async () => {
        const over = AbortSignal.timeout(withinMs ?? limitMs)
        const signal = left && HALLS[name].endsWhenLeft ? AbortSignal.any([over, left]) : over
        try {
          return taken(
            (await pool.run(task, { signal, ...(port && { transferList: [port] }) })) as ToldBack<T>,
          )
        } catch (fault) {
          if (over.aborted)
            throw new Fault(503, 'this took too long on this server: try again', undefined, { over: true })
          if (left?.aborted) throw new Fault(503, 'nobody waits for this any more')
          if ((fault as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
            throw new Fault(413, 'this is too large for this server')
          throw fault
        }
      },
      left,
    )
  }
  return {
    compile: (request, by) => run('plans', request, by),
    costOf: (request, by, withinMs) => run('plans', { costOf: request }, by, withinMs),
    desk: (task, by) => run('desk', task, by),
    async archive(task, by, receive) {
      if (!receive) return run('archives', { ...task, port: null }, by)
      const { port1, port2 } = new MessageChannel()
      let broken: unknown = null
      port1.on('message', (piece: Uint8Array) => {
        receive(piece).then(
          () => port1.postMessage('on'),
          (fault: unknown) => {
            broken = fault
            port1.close()
          },
        )
      })
      try {
        const made = await run('archives', { ...task, port: port2 }, by, undefined, port2)
        if (broken) throw broken instanceof Error ? broken : new Error('the answer could not be sent')
        return made
      } finally {
        port1.close()
      }
    },
    loads: () => {
      const of = ({ turns }: (typeof halls)[HallName]) => ({
        waiting: turns.waiting(),
        running: turns.running(),
      })
      return { plans: of(halls.plans), desk: of(halls.desk), archives: of(halls.archives) }
    },
    async close() {
      await Promise.all(Object.values(halls).map(({ pool }) => pool.destroy()))
    },
  }
}
