/** Writes as they are sent: typed by the server's own description, plain enough to be kept on this device. */
import {
  createFinalURL,
  createQuerySerializer,
  defaultPathSerializer,
  type FetchResponse,
  type MaybeOptionalInit
} from 'openapi-fetch'
import type { MediaType, PathsWithMethod } from 'openapi-typescript-helpers'
import type { Stands } from '$lib/away/standing'
import type { Problem, Shapes } from './client'
import { units, type Key } from './key'
import type { paths } from './schema'

type Method = 'put' | 'delete'
type Init<P extends keyof paths, M extends Method> = Pick<
  NonNullable<MaybeOptionalInit<paths[P], M>>,
  'params' | 'body'
>
type Answer<P extends keyof paths, M extends Method> = NonNullable<
  FetchResponse<NonNullable<paths[P][M]>, Record<never, never>, MediaType>['data']
>

/** The body a write is sent with. */
export type Sent<P extends PathsWithMethod<paths, 'put'>> = NonNullable<Init<P, 'put'>['body']>

/** What a write is about. */
export interface About {
  /** Writes of one thing are sent in the order they were made; those of other things don't wait for them. */
  thing: string
  /** What it is called where it is shown by itself: "The look at the eyes". */
  words: string
  /** The answer stands under this name from then on. */
  answers?: Key | null
  /** Asked again once it was taken. */
  renews?: Key[]
  /** It says the whole of what it is about: a newer one takes the place of one that is not sent yet. */
  whole?: boolean
  /** Worth something only at this moment: without an answer it is given up, not kept. */
  now?: boolean
  /** A putt that is shown, voided or restored before the server knows. */
  reading?: Reading | null
  /** How it shows where there is no network to say it. */
  stands?: Stands | null
}

export interface Reading {
  block: string
  id: string
  /** What to show of a new one until the server confirms it; null for voiding and restoring. */
  shown: Shapes['ReadingLine'] | null
}

/** A write not posted yet; `A` is what it will be answered. */
export interface Draft<A = unknown> extends Required<About> {
  method: 'PUT' | 'DELETE'
  path: string
  body: unknown
  readonly answer?: A
}

/** One write on its way. Ids sort by the time they were made. */
export interface Letter extends Draft {
  id: string
  /** Why the server refused it; such a letter stays until the coach has seen it. */
  refused: Problem | null
  /** The server has it; it stays until a view has it from there. */
  taken: boolean
  /** It shows already, as the server said it would. */
  stood: boolean
}

/** What a write of one thing is sent with; what is answered in sentences asks for them in the coach's units. */
export const path = (id: string) => ({ params: { path: { id } } })
export const pathInUnits = (id: string) => ({ params: { path: { id }, query: units() } })

const querySerializer = createQuerySerializer()

function draft<A>(
  method: Draft['method'],
  path: string,
  init: { params?: unknown; body?: unknown },
  about: About
): Draft<A> {
  const params = (init.params ?? {}) as { path?: Record<string, unknown>; query?: Record<string, unknown> }
  return {
    answers: null,
    renews: [],
    whole: false,
    now: false,
    reading: null,
    stands: null,
    ...about,
    method,
    path: createFinalURL(path, { baseUrl: '', params, querySerializer, pathSerializer: defaultPathSerializer }),
    body: init.body ?? null
  }
}

export const put = <P extends PathsWithMethod<paths, 'put'>>(
  path: P,
  init: Init<P, 'put'>,
  about: About
): Draft<Answer<P, 'put'>> => draft('PUT', path, init, about)

export const remove = <P extends PathsWithMethod<paths, 'delete'>>(
  path: P,
  init: Init<P, 'delete'>,
  about: About
): Draft<Answer<P, 'delete'>> => draft('DELETE', path, init, about)
