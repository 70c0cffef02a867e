/** Whose turn it is in a comparison, from its plan and the putts that are in: also while some wait for the network. */

export interface Turn {
  /** Place of the condition in the comparison; null when all putts are in. */
  condition: number | null
  left: number
  then: number | null
}

/** The first putt of the plan that is not done, and how many of its kind follow: a voided putt is putted again in its place. */
export function turnOf(turns: readonly number[], done: readonly number[]): Turn {
  const rest = [...done]
  const coming = turns.filter((n) => {
    if (!rest[n]) return true
    rest[n] -= 1
    return false
  })
  const first = coming[0]
  if (first === undefined) return { condition: null, left: 0, then: null }
  const change = coming.findIndex((n) => n !== first)
  return { condition: first, left: change < 0 ? coming.length : change, then: change < 0 ? null : (coming[change] ?? null) }
}
