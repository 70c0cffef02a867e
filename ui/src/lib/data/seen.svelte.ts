/** What a thing said when its editing began: sent along, so that what was changed elsewhere since is not written over. */
import { untrack } from 'svelte'
import { renew } from './cache'
import { refusal } from './client'
import type { Key } from './key'

/** Whether something was refused because it was changed elsewhere since it was opened. */
export const changedElsewhere = (error: Error | null): boolean =>
  error !== null && refusal(error).problem.status === 412

export interface Seen<T> {
  readonly now: T | null
  /** The editing begins. */
  begin(): void
}

/**
 * `stands`: what it says by now; null for a new one. After a refusal for what was changed elsewhere that is asked anew, and is
 * what was seen from then on: keeping once more is meant.
 */
export function createSeen<T>(stands: () => T | null, error: () => Error | null, name: () => Key): Seen<T> {
  let seen = $state.raw<T | null>(null)
  const changed = $derived(changedElsewhere(error()))
  $effect(() => {
    if (changed) void renew(untrack(name))
  })
  $effect(() => {
    if (changed) seen = stands()
  })
  return {
    get now(): T | null {
      return seen
    },
    begin(): void {
      seen = stands()
    }
  }
}
