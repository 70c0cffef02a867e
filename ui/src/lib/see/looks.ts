/** The three answers to "where does the rod point?", and their keys. */
import type { Key } from '$lib/base/keys.svelte'

export type Look = 'left' | 'straight' | 'right'

export const LOOK_KEYS: Record<Look, [string, string]> = {
  left: ['1', 'ArrowLeft'],
  straight: ['2', 'ArrowDown'],
  right: ['3', 'ArrowRight']
}

export const answerKeys = (answer: (look: Look) => void): Key[] =>
  (Object.keys(LOOK_KEYS) as Look[]).flatMap((look) =>
    LOOK_KEYS[look].map((key) => ({ key, words: `It looks ${look}`, run: () => answer(look) }))
  )
