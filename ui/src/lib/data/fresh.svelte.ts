/**
 * When a page of a lesson may be shown: once its answer is of the newest that this device knows of, and what was tapped has
 * been kept. Never an older one; once it is shown it stays, and is made anew under the eyes.
 */
import { untrack } from 'svelte'
import { net } from '$lib/away/net.svelte'
import { lessonQuery } from './queries.svelte'
import { outbox } from './outbox.svelte'

/** What can't be sent is not waited for longer: the page says by itself what is still on its way. */
const LONGEST_MS = 4000

/** What a page asked: its answer tells the mark of the data it was made from. */
interface Asked {
  readonly data: { revision: number } | undefined
  readonly isFetching: boolean
  refetch(): unknown
}

export function createFresh(lesson: () => string, page: Asked): { readonly shown: boolean } {
  const known = lessonQuery(lesson)
  let shownOf = $state('')
  let waited = $state(false)
  $effect(() => {
    void lesson()
    waited = false
    const timer = setTimeout(() => (waited = true), LONGEST_MS)
    return () => clearTimeout(timer)
  })
  const fresh = $derived.by(() => {
    const made = page.data?.revision
    if (made === undefined) return false
    if (net.gone || waited) return true
    return outbox.waiting.length === 0 && !known.isFetching && made >= (known.data?.revision ?? 0)
  })
  $effect(() => {
    if (fresh) shownOf = lesson()
  })
  // What was read while it was being made: it is asked for once more.
  let asked = 0
  $effect(() => {
    const [made, newest] = [page.data?.revision ?? 0, known.data?.revision ?? 0]
    if (fresh || page.isFetching || !made || made >= newest || asked >= newest) return
    asked = newest
    untrack(() => page.refetch())
  })
  return {
    get shown() {
      return fresh || shownOf === lesson()
    }
  }
}
