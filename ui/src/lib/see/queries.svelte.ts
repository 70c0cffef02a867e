/** What See asks the server. */
import type { Shapes } from '$lib/data/client'
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { inUnits, key, units } from '$lib/data/key'

/** Where the eyes are, and where they are wanted. */
export function eyesQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.eyes(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/eyes', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

/** The tests of what looks straight, and how they compare. */
export function sightsQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.sights(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/sights', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

/** What moves the looks-straight angle. */
export function mapQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: inUnits(key.map(lesson())),
    queryFn: () => ask(api.GET('/api/lessons/{id}/map', { params: { path: { id: lesson() }, query: units() } }))
  }))
}

/** The ways to ask what looks straight. */
export function methodsQuery() {
  return createQuery(() => ({
    queryKey: key.methods(),
    queryFn: () => ask(api.GET('/api/sight-methods')),
    staleTime: Infinity
  }))
}

/** What can be moved of head and ball. */
export function leversQuery() {
  return createQuery(() => ({
    queryKey: key.levers(),
    queryFn: () => ask(api.GET('/api/levers')),
    staleTime: Infinity
  }))
}

/** Head, feet, ball, rod and hole as one picture, for a golfer of that hand. */
export function placeDrawnQuery(hand: () => Shapes['GolferBrief']['hand']) {
  return createQuery(() => ({
    queryKey: key.placeDrawn(hand()),
    queryFn: () => ask(api.GET('/api/place-drawn', { params: { query: { hand: hand() } } })),
    staleTime: Infinity
  }))
}

/** The question a golfer is asked just now, for a screen of their own. */
export function questionQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: key.question(lesson()),
    queryFn: () => ask(api.GET('/api/lessons/{id}/question', { params: { path: { id: lesson() } } })),
    refetchInterval: 1000,
    refetchIntervalInBackground: true
  }))
}

/** First looks: how a true rod looks from where. */
export function firstLooksQuery(lesson: () => string) {
  return createQuery(() => ({
    queryKey: key.firstLooks(lesson()),
    queryFn: () => ask(api.GET('/api/lessons/{id}/first-looks', { params: { path: { id: lesson() } } }))
  }))
}
