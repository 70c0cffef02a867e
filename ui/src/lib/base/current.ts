/** The block a lesson's views are about: the one the address names, else the last. */
import type { Shapes } from '$lib/data/client'

export function currentBlock(
  sheet: Shapes['LessonSheetOut'] | undefined,
  address: URL
): Shapes['BlockOut'] | undefined {
  return sheet?.blocks.find((it) => it.id === address.searchParams.get('block')) ?? sheet?.blocks.at(-1)
}
