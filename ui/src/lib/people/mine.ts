/** What a golfer sees who signs in himself. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

export function mineQuery() {
  return createQuery(() => ({
    queryKey: inUnits(key.mine()),
    queryFn: () => ask(api.GET('/api/mine', { params: { query: units() } })),
    staleTime: 0
  }))
}

/** A sheet that was released. */
export function ownSheetQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: key.ownSheet(lesson()),
    queryFn: () => ask(api.GET('/api/mine/sheets/{id}', { params: { path: { id: lesson() } } })),
    staleTime: 0
  }))
}
