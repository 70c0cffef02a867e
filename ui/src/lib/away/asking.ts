/**
 * How the server is asked for what views show: from it while it answers; what it last answered, or what stands in its place
 * for something begun without it, where it does not and this page has not heard it yet.
 */
import { settings } from '$lib/base/settings.svelte'
import { kept } from './kept'
import { vault } from './vault.svelte'
import { net, NOBODY } from './net.svelte'

/** A question as it is asked: with a body it is sent by POST. */
export interface Asked {
  address: string
  body?: unknown
}

/** Ways in, whole files, and what counts at its moment alone. */
const NEVER =
  /^\/api\/(session\/|links|sign-ins|accounts|deeds|health|screens\/here|sensor-link|standins|archives)|\/(file|photo)$/
/** The program's own words: needed before anybody is known. */
const OPEN = /^\/api\/(vocabulary|guide)$/
/** Asked with a body, and keeps nothing there. */
const READ = new Set(['GET', 'POST'])
/** What a drawing is asked with that does not change what is drawn: another lesson's will do where there is no network. */
const LOOSE: Record<string, string[]> = {
  '/api/stations/preview': ['lesson_id', 'proof_of', 'level', 'expected_deg']
}

/**
 * What was asked for to be shown and came from the server while this page stands: it is held there (`data/cache`), and with
 * what was told since it is newer than what is kept.
 */
const heard = new Set<string>()

/** Under what a question's answer is kept: the same however it was put. */
function nameOf({ address, body }: Asked, less: readonly string[] = []): string {
  const { pathname, searchParams } = new URL(address, 'http://here')
  const asked = [...searchParams].filter(([, value]) => value !== '').sort()
  return [settings.units, pathname, JSON.stringify(asked), body === undefined ? '' : plainly(body, less)].join(' ')
}

/** Entries in one order, and none that says nothing. */
function plainly(body: unknown, less: readonly string[]): string {
  return JSON.stringify(body, (_, value: unknown) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([name, it]) => it !== null && !less.includes(name))
            .sort()
        )
      : value
  )
}

/** What is kept of a question's answer. */
export const heldOf = async (asked: Asked): Promise<unknown> => (await kept.get(nameOf(asked)))?.body

/** Keeping goes in the order in which things came: an answer on its way to be kept is older than what stands since. */
let keeping: Promise<void> = Promise.resolve()
const inTurn = (keep: () => Promise<void>): Promise<void> => (keeping = keeping.then(keep, keep))

/** What stands from now on in place of an answer, until the server gives one. */
export async function holdFor(asked: Asked, body: unknown): Promise<void> {
  const name = nameOf(asked)
  heard.delete(name)
  await inTurn(() => kept.put(name, body, false))
}

async function askedBy(request: Request): Promise<Asked | null> {
  const { pathname, search } = new URL(request.url)
  if (!READ.has(request.method) || NEVER.test(pathname)) return null
  const address = pathname + search
  return request.method === 'POST'
    ? {
        address,
        body: await request
          .clone()
          .json()
          .catch(() => null)
      }
    : { address }
}

/** Ask; `shown`: what comes is held by the page, too. */
export async function asking(request: Request, shown = true): Promise<Response> {
  const asked = await askedBy(request)
  let answer: Response | null = null
  let silence: unknown
  try {
    answer = await fetch(request)
  } catch (fault) {
    silence = fault
  }
  if (answer && !NOBODY.has(answer.status)) {
    net.heard()
    // Where nobody comes in nothing is kept: a wall would hold every answer until somebody did.
    if (asked && answer.ok && (vault.keeps || OPEN.test(new URL(request.url).pathname))) {
      if (shown && asked.body === undefined) heard.add(nameOf(asked))
      const copy = answer.clone()
      void inTurn(() => keep(asked, copy)).catch(() => undefined)
    }
    return answer
  }
  net.silent()
  const held = asked && !heard.has(nameOf(asked)) ? await heldAnswer(asked) : null
  if (held) return held
  if (answer) return answer
  throw silence
}

async function keep(asked: Asked, answer: Response): Promise<void> {
  if (!answer.headers.get('content-type')?.startsWith('application/json')) return
  const { pathname } = new URL(asked.address, 'http://here')
  const body: unknown = await answer.json()
  const less = LOOSE[pathname]
  await kept.put(nameOf(asked), body, OPEN.test(pathname))
  if (less) await kept.put(nameOf(asked, less), body, false)
}

async function heldAnswer(asked: Asked): Promise<Response | null> {
  const { pathname } = new URL(asked.address, 'http://here')
  const less = LOOSE[pathname]
  const held = (await kept.get(nameOf(asked))) ?? (less ? await kept.get(nameOf(asked, less)) : null)
  if (!held) return null
  net.silent(new Date(held.at))
  return new Response(JSON.stringify(held.body), { headers: { 'content-type': 'application/json' } })
}
