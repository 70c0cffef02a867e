/** The server, with its generated types; every refusal becomes a `Refusal`. */
import createClient from 'openapi-fetch'
import type { Readable } from 'openapi-typescript-helpers'
import { asking } from '$lib/away/asking'
import { settings } from '$lib/base/settings.svelte'
import { hear } from './clock'
import type { components, paths } from '$lib/data/schema'

/** Shapes as they are read: what `openapi-fetch` makes of an answer. */
export type Shapes = Readable<components['schemas']>
export type Problem = Required<Shapes['Problem']>

export const api = createClient<paths>({ fetch: (request) => asking(request) })

const asked = new WeakMap<Request, number>()
api.use({
  onRequest({ request }) {
    asked.set(request, Date.now())
    request.headers.set('libella-units', settings.units)
    return request
  },
  onResponse({ request, response }) {
    hear(response, asked.get(request) ?? 0)
    // Whoever was known is known no more: signed out elsewhere, or for too long away.
    if (response.status === 401 && !request.url.endsWith('/api/session')) strangers.forEach((it) => it())
  }
})

const strangers = new Set<() => void>()
/** Called whenever the server answers that it does not know who asks. */
export function whenStranger(run: () => void): void {
  strangers.add(run)
}

/** The server answered and said no: what happened, what was kept, what to do. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }
  /** What it says about one entry, or nothing. */
  about(field: string): string | undefined {
    return this.problem.errors.find((it) => it.field === field)?.message
  }
}

/** No answer came. */
export const SILENT: Problem = {
  type: 'urn:libella:problem:no-answer',
  title: 'No answer',
  status: 0,
  detail: 'Libella does not answer. What was saved is safe.',
  remedy: 'Check the network, or that ./demo still runs; this page tries again by itself.',
  errors: []
}

/** Wait for an answer and give its body; throws a `Refusal`. */
export async function ask<T>(asked: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let answer
  try {
    answer = await asked
  } catch {
    throw new Refusal(SILENT)
  }
  if (answer.data !== undefined) return answer.data
  throw new Refusal(problemOf(answer.error, answer.response.status))
}

/** The problem a failed answer holds, or one that says as much as is known. */
export function problemOf(body: unknown, status: number): Problem {
  if (body && typeof body === 'object' && 'detail' in body)
    return { ...SILENT, remedy: '', ...(body as Partial<Problem>), status }
  return { ...SILENT, status, title: 'Not possible', detail: `The server answered ${status}. What was saved is safe.` }
}

/** What went wrong, for whoever shows it. */
export function refusal(error: unknown): Refusal {
  return error instanceof Refusal
    ? error
    : new Refusal({ ...SILENT, title: 'Something went wrong', detail: String(error) })
}

/** What went wrong with one entry, or nothing. */
export const about = (error: unknown, field: string): string | undefined =>
  error ? refusal(error).about(field) : undefined
