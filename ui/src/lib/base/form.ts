/** In which unit all fields of one form take a bare number: long lengths in metres or feet, small ones in mm or inches. */
import { getContext, setContext } from 'svelte'

export type Lengths = 'long' | 'small'

const HERE = Symbol('lengths')

/** Told once by a form that has lengths of both kinds, or "8" were feet beside a field where it is inches. */
export const formOf = (lengths: Lengths): Lengths => setContext(HERE, lengths)

export const lengthsHere = (): Lengths | undefined => getContext<Lengths | undefined>(HERE)
