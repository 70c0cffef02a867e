/** The putts of a block: what the server has, with what is still on its way laid over it in the order it was tapped. */
import type { Shapes } from '$lib/data/client'
import type { Letter } from '$lib/data/letter'
import { outbox } from '$lib/data/outbox.svelte'

export type Putt = Shapes['ReadingLine'] & { waiting: boolean }

/** `letters` are those of the block; those of `confirmed` are known to be kept. */
export function laidOver(
  readings: readonly Shapes['ReadingLine'][],
  letters: readonly Letter[],
  confirmed: ReadonlySet<string>
): Putt[] {
  const putts: Putt[] = readings.map((it) => ({ ...it, waiting: false }))
  for (const { id, method, body, reading } of letters) {
    if (!reading) continue
    const at = putts.find((it) => it.id === reading.id)
    if (reading.shown && !at) putts.push({ ...reading.shown, waiting: !confirmed.has(id) })
    else if (!reading.shown && at) {
      at.voided = method === 'PUT'
      at.void_reason = at.voided ? (body as { reason: string }).reason : null
    }
  }
  return putts
}

/** The putts of a block as they are to be shown now. */
export function puttsOf(block: string | undefined, readings: readonly Shapes['ReadingLine'][]): Putt[] {
  return laidOver(readings, outbox.over(block), new Set(outbox.confirmed.map((it) => it.id)))
}

export const validOf = (putts: readonly Putt[]): Putt[] => putts.filter((it) => !it.voided)
