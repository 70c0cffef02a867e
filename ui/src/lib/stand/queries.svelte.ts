/** What Stand asks the server. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** The set-up as it was noted, drawn beside the one before. */
export function standQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.stand(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/stand', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

/** What can be noted of a set-up. */
export function setUpEntriesQuery() {
  return createQuery(() => ({
    queryKey: key.setUpEntries(),
    queryFn: () => ask(api.GET('/api/set-up-entries')),
    staleTime: Infinity
  }))
}
