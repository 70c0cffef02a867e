/** What is asked of lessons to begin one. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { key } from '$lib/data/key'
import type { LessonDraft } from './LessonEntries.svelte'

/** Where a golfer putted last, and on what; in a first lesson the studio's name. */
export function lastFloorQuery(golfer: () => string, asked: () => boolean) {
  return createQuery(() => ({
    queryKey: key.lastFloor(golfer()),
    queryFn: async (): Promise<Partial<LessonDraft>> => {
      const { items } = await ask(api.GET('/api/golfers/{id}/lessons', { params: { path: { id: golfer() } } }))
      const last = items[0]?.lesson
      return last
        ? { place: last.place, surface: last.surface, green_speed_ft: last.green_speed_ft }
        : { place: (await ask(api.GET('/api/studio'))).name }
    },
    enabled: asked(),
    staleTime: 0
  }))
}
