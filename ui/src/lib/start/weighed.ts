/**
 * What putts say so far where no server is in reach: rows of its table summed, and where the middle and the ends of the
 * interval lie. What a reading says of bias and spread, and what was believed before, stands in the table alone.
 */
import type { Shapes } from '$lib/data/client'

type Table = NonNullable<Shapes['LikelihoodOut']['table']>
type Reading = Pick<Shapes['ReadingLine'], 'low_deg' | 'high_deg' | 'flags'>
/** The bubble of a vial, and its film. */
export type Bubble = Pick<Shapes['Vial'], 'bubble_at' | 'bubble_low' | 'bubble_high' | 'film_low' | 'film_high'>

const [LOW, MIDDLE, HIGH] = [0.05, 0.5, 0.95]

/** Nothing where there is no putt, one that the table does not know, or too few that say how far they lie. */
export function weighed({ table, flags }: Shapes['LikelihoodOut'], readings: readonly Reading[]): Bubble | null {
  if (!table || !readings.length) return null
  const weights = new Map<number, number>()
  let open = 0
  for (const it of readings) {
    const row = table.rows.findIndex(({ low, high }) => low === it.low_deg && high === it.high_deg)
    if (row < 0) return null
    if (table.rows[row]?.open) open += 1
    const weight = it.flags.reduce((whole, flag) => whole * (flags[flag] ?? 1), 1)
    weights.set(row, (weights.get(row) ?? 0) + weight)
  }
  if (open && 2 * open >= readings.length) return null
  const { ofBias, ofSpread } = summed(table, weights)
  const bias = blurred(ofBias, table.shared)
  const first = table.first - ((table.shared.length - 1) / 2) * table.step
  const at = (share: number): number => first + table.step * quantile(bias, share)
  const [from = 0, next = 0] = table.log_spreads
  const spread = Math.exp(from + (next - from) * quantile(ofSpread, MIDDLE))
  const middle = at(MIDDLE)
  return {
    bubble_at: middle,
    bubble_low: at(LOW),
    bubble_high: at(HIGH),
    film_low: middle - spread,
    film_high: middle + spread
  }
}

/** How likely each bias is, and each spread. */
function summed(table: Table, weights: ReadonlyMap<number, number>): { ofBias: Float64Array; ofSpread: Float64Array } {
  const spreads = table.log_spreads.length
  const log = new Float64Array(table.before.length * spreads)
  table.before.forEach((before, bias) =>
    table.spreads_before.forEach((of, spread) => (log[bias * spreads + spread] = before + of))
  )
  for (const [row, weight] of weights) add(log, table, row, weight)
  const most = log.reduce((one, other) => Math.max(one, other), -Infinity)
  const [ofBias, ofSpread] = [new Float64Array(table.before.length), new Float64Array(spreads)]
  log.forEach((it, cell) => {
    const likely = Math.exp(it - most)
    const [bias, spread] = [Math.floor(cell / spreads), cell % spreads]
    ofBias[bias] = (ofBias[bias] ?? 0) + likely
    ofSpread[spread] = (ofSpread[spread] ?? 0) + likely
  })
  return { ofBias, ofSpread }
}

/** One row of the table added as often as it was read; between two points of its curve, along a straight line. */
function add(log: Float64Array, table: Table, index: number, weight: number): void {
  const row = table.rows[index]
  const curve = row && table.curves[row.curve]
  if (!row || !curve) return
  const [spreads, last] = [table.log_spreads.length, curve.away.length - 1]
  for (let bias = 0; bias < table.before.length; bias++) {
    const from = table.first + table.step * bias - row.at
    const away = row.facing ? from * row.facing : Math.abs(from)
    const low = Math.min(Math.max(lastUnder(curve.away, away), 0), last - 1)
    const [one, other] = [curve.away[low] ?? 0, curve.away[low + 1] ?? 0]
    const part = Math.min(Math.max((away - one) / (other - one), 0), 1)
    const [near, next] = [curve.log[low] ?? [], curve.log[low + 1] ?? []]
    for (let spread = 0; spread < spreads; spread++) {
      const told = (near[spread] ?? 0) * (1 - part) + (next[spread] ?? 0) * part
      const cell = bias * spreads + spread
      log[cell] = (log[cell] ?? 0) + (weight * told) / table.to_one
    }
  }
}

/** The last of ascending numbers that is not over this one; -1 where all are. */
function lastUnder(numbers: readonly number[], most: number): number {
  let [low, high] = [-1, numbers.length]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((numbers[middle] ?? Infinity) <= most) low = middle
    else high = middle
  }
  return low
}

/** Blurred by weights about a middle one; longer by what reaches out at both ends. */
function blurred(values: Float64Array, shared: readonly number[]): Float64Array {
  const wider = new Float64Array(values.length + shared.length - 1)
  values.forEach((value, at) => shared.forEach((part, by) => (wider[at + by] = (wider[at + by] ?? 0) + value * part)))
  return wider
}

/** Where that share of a density on an even grid lies under, in steps from its first point. */
function quantile(density: Float64Array, share: number): number {
  const total = new Float64Array(density.length)
  for (let at = 1; at < density.length; at++)
    total[at] = (total[at - 1] ?? 0) + ((density[at - 1] ?? 0) + (density[at] ?? 0)) / 2
  const wanted = share * (total.at(-1) ?? 0)
  const over = Math.max(
    total.findIndex((it) => it >= wanted),
    1
  )
  const [before, here] = [total[over - 1] ?? 0, total[over] ?? 0]
  return over - 1 + (here > before ? (wanted - before) / (here - before) : 0)
}
