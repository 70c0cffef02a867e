/** What Aim asks the server. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** The sets of set-downs of a lesson, and their sum. */
export function aimQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.aim(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/aim', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

/** The links of the aim, and what each can be read with. */
export function aimChoicesQuery() {
  return createQuery(() => ({
    queryKey: key.aimChoices(),
    queryFn: () => ask(api.GET('/api/aim-choices')),
    staleTime: Infinity
  }))
}
