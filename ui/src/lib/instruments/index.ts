/** Entry components by the way an instrument is read (`About.entry`). A new way of reading is one more file here. */
import type { Component } from 'svelte'
import type { Shapes } from '$lib/data/client'
import type { Zone } from '$lib/drawing/zones'
import SlideEntry from './SlideEntry.svelte'
import TapEntry from './TapEntry.svelte'

export interface EntryProps {
  entry: Shapes['EntryPicture']
  /** Nothing can be recorded now. */
  closed: boolean
  record: (zone: Zone) => void
}

export const ENTRIES: Record<string, Component<EntryProps>> = { tap: TapEntry, slide: SlideEntry }
