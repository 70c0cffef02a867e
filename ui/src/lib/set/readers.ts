/** Two readers of the same, each blind to the other. */
import { createQuery } from '@tanstack/svelte-query'
import { api, ask } from '$lib/data/client'
import { every, inUnits, key, units } from '$lib/data/key'
import { put, type Sent } from '$lib/data/letter'

export const thingsQuery = () =>
  createQuery(() => ({
    queryKey: [...key.secondReadings(), 'things'],
    queryFn: () => ask(api.GET('/api/second-readings/things')),
    staleTime: Infinity
  }))

export const readingsQuery = () =>
  createQuery(() => ({
    queryKey: inUnits(key.secondReadings()),
    queryFn: () => ask(api.GET('/api/second-readings', { params: { query: units() } }))
  }))

const RENEWED = [every(key.secondReadings), every(key.lesson), every(key.eyes), every(key.findings), every(key.preview)]

export const readFirst = (id: string, body: Sent<'/api/second-readings/{id}'>) =>
  put(
    '/api/second-readings/{id}',
    { params: { path: { id }, query: units() }, body },
    { thing: id, words: 'What the first reader read', renews: RENEWED }
  )

export const readSecond = (id: string, body: Sent<'/api/second-readings/{id}/second'>) =>
  put(
    '/api/second-readings/{id}/second',
    { params: { path: { id }, query: units() }, body },
    { thing: id, words: 'What the second reader read', renews: RENEWED }
  )

export const voidReadings = (id: string, voided: boolean) =>
  put(
    '/api/second-readings/{id}/voided',
    { params: { path: { id }, query: units() }, body: { voided } },
    { thing: id, words: voided ? 'Taking a reading by two back' : 'Bringing a reading by two back', renews: RENEWED }
  )
