/** Writes as views make them: a mutation each, all through the one outbox. */
import { createMutation, type CreateMutationResult } from '@tanstack/svelte-query'
import { onDestroy } from 'svelte'
import { cache } from './cache'
import type { Draft } from './letter'
import { outbox } from './outbox.svelte'

type Write<V, A> = CreateMutationResult<A, Error, V>

/**
 * A write of this view. `done` is told the answer while the view stands; what is refused shows in `error` of what this gives,
 * with what was entered still there. Offline it stays pending, and is sent all the same when the view has gone.
 */
export function createWrite<V, A>(draft: (given: V) => Draft<A>, done?: (answer: A, given: V) => unknown): Write<V, A> {
  let here = true
  let newest = 0
  onDestroy(() => (here = false))
  return createMutation(
    () => ({
      mutationFn: (given: V) => {
        const mine = ++newest
        // `error` tells of the newest alone: what is refused of an older one stays in the outbox, in view.
        return outbox.post(draft(given), () => here && mine === newest)
      },
      onSuccess: (answer: A, given: V) => (here ? done?.(answer, given) : undefined)
    }),
    () => cache
  )
}

/** What was refused, of several writes that are told of in one place. */
export const firstError = (all: readonly { error: Error | null }[]): Error | null =>
  all.find((it) => it.error)?.error ?? null

/** Something the server works out or hands over when told to; it keeps nothing of it. */
export function createAsk<V, A>(asked: (given: V) => Promise<A>, done?: (answer: A, given: V) => unknown): Write<V, A> {
  return createMutation(
    () => ({ mutationFn: asked, onSuccess: (answer: A, given: V) => done?.(answer, given) }),
    () => cache
  )
}

/** What was last said of a thing here and is not known to be kept yet: also what was said before the page was closed. */
export function saying<B>(thing: string): B | null {
  return (outbox.of(thing).findLast((it) => it.whole)?.body as B | undefined) ?? null
}
