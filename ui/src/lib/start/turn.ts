/** Whose turn it is in a comparison, from its plan and the putts that are in: also while some wait for the network. */
import type { Shapes } from '$lib/data/client'

export interface Turn {
  /** The block whose turn it is; null when all putts are in. */
  block: string | null
  /** How many putts until it changes, and the block that comes then. */
  left: number
  then: string | null
}

export function turnIn(plan: readonly Shapes['PlannedPutt'][], valid: (block: string) => number): Turn {
  const open = plan.filter((it) => it.nth > valid(it.block_id))
  const block = open[0]?.block_id ?? null
  const change = open.findIndex((it) => it.block_id !== block)
  return { block, left: change < 0 ? open.length : change, then: open[change]?.block_id ?? null }
}
