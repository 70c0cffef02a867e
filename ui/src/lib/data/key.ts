/**
 * The names under which answers of the server are held, all in this one place.
 *
 * A name holds what was asked about, widest first, so that renewing `key.lesson(id)` renews it however it was asked. What
 * comes in sentences or drawn is held once for each units: `inUnits` says which are meant.
 */
import { settings } from '$lib/base/settings.svelte'

export type Key = readonly unknown[]

export const key = {
  accounts: () => ['accounts'],
  aim: (lesson: string) => ['aim', lesson],
  aimChoices: () => ['aim-choices'],
  bag: () => ['bag'],
  bands: () => ['bands'],
  converted: (of: unknown) => ['converted', of],
  archive: (id: string) => ['archive', id],
  cards: (golfer: string) => ['cards', golfer],
  /** Of a lesson they are asked again with the lesson: another surface or plan calls for others. */
  cautions: (at: string, lesson: string, golfer: string) =>
    lesson ? ['lesson', lesson, 'cautions', at] : ['cautions', at, golfer],
  deeds: (account: string) => ['deeds', account],
  due: () => ['due'],
  here: () => ['here'],
  passkeys: () => ['passkeys'],
  guide: () => ['guide'],
  logbook: (sought: unknown) => ['logbook', sought],
  change: (lesson: string) => ['change', lesson],
  checks: (lesson: string) => ['checks', lesson],
  compared: (one: string, other: string) => ['compared', one, other],
  comparisons: (lesson: string) => ['comparisons', lesson],
  consents: (golfer: string) => ['consents', golfer],
  course: (golfer: string) => ['course', golfer],
  drawing: (lesson: string, code: string, ...stand: string[]) => ['drawing', lesson, code, ...stand],
  drawings: () => ['drawings'],
  drills: (golfer: string) => ['drills', golfer],
  drops: () => ['drops'],
  entry: (block: string) => ['entry', block],
  likelihood: (block: string) => ['likelihood', block],
  explained: (lesson: string, claim: string) => ['lesson', lesson, 'explained', claim],
  expected: (golfer: string) => ['expected', golfer],
  eyes: (lesson: string) => ['eyes', lesson],
  front: () => ['front'],
  file: (file: string) => ['file', file],
  fileProgress: (file: string) => ['file-progress', file],
  files: (golfer: string) => ['files', golfer],
  findings: (lesson: string) => ['findings', lesson],
  firstLooks: (lesson: string) => ['first-looks', lesson],
  further: (block: string) => ['further', block],
  golfer: (golfer: string) => ['golfer', golfer],
  golferLine: (golfer: string) => ['golfer-line', golfer],
  golferLessons: (golfer: string) => ['golfer-lessons', golfer],
  golfers: () => ['golfers'],
  instruments: () => ['instruments'],
  judged: (block: string) => ['judged', block],
  kit: (golfer: string) => ['kit', golfer],
  lastFloor: (golfer: string) => ['last-floor', golfer],
  lesson: (lesson: string) => ['lesson', lesson],
  levels: () => ['levels'],
  opinions: () => ['opinions'],
  levers: () => ['levers'],
  session: () => ['session'],
  signIns: () => ['sign-ins'],
  conditionsDrawn: (of: unknown) => ['conditions drawn', of],
  photos: (golfer: string) => ['photos', golfer],
  placeDrawn: (hand: string) => ['place drawn', hand],
  linkBands: () => ['link-bands'],
  map: (lesson: string) => ['map', lesson],
  methods: () => ['methods'],
  notes: () => ['notes'],
  pauses: (lesson: string) => ['pauses', lesson],
  practice: (golfer: string) => ['practice', golfer],
  preview: (lesson: string) => ['preview', lesson],
  prints: () => ['prints'],
  proposals: () => ['proposals'],
  question: (lesson: string) => ['question', lesson],
  removals: () => ['removals'],
  rolls: () => ['rolls'],
  saved: () => ['saved'],
  /** Of a lesson they are asked again with the lesson: what was read of its golfer speaks, too. */
  schools: (lesson: string, golfer: string) => (lesson ? ['lesson', lesson, 'schools'] : ['schools', golfer]),
  secondReadings: () => ['second-readings'],
  sensors: (lesson: string) => ['sensors', lesson],
  setUpEntries: () => ['set-up-entries'],
  sides: (first: string, second: string) => ['sides', first, second],
  screens: () => ['screens'],
  shown: (lesson: string) => ['shown', lesson],
  sights: (lesson: string) => ['sights', lesson],
  slope: () => ['slope'],
  stand: (lesson: string) => ['stand', lesson],
  standins: () => ['standins'],
  string: () => ['string'],
  stringEyes: () => ['string-eyes'],
  read: (block: string) => ['read', block],
  studio: () => ['studio'],
  today: () => ['today'],
  summary: (lesson: string) => ['summary', lesson],
  wouldChange: (of: string, id: string) => ['would-change', of, id],
  wouldGo: (former: string, golfer: string, lesson: string) => ['would-go', former, golfer, lesson],
  mine: () => ['mine'],
  ownSheet: (lesson: string) => ['own sheet', lesson],
  tools: (lesson: string) => ['tools', lesson],
  tryAid: (kind: string) => ['try', kind],
  wall: (lesson: string) => ['wall', lesson],
  ways: () => ['ways'],
  writtenDown: (of: string, id: string) => ['written-down', of, id]
} satisfies Record<string, (...about: string[]) => Key>

/** Every answer of one sort, whatever it was asked about. */
export const every = (name: (...about: string[]) => Key): Key => name().slice(0, 1)

/** A name as it is held for these units, and for what else the answer hangs on. */
export const inUnits = (name: Key, ...more: unknown[]): Key => [...name, settings.units, ...more]

/** What the server is told so that sentences and drawings come in these units. */
export const units = (): { units: typeof settings.units } => ({ units: settings.units })

/** Whatever is weighed of golfers: what a school or an opinion may change. */
export const WEIGHED: Key[] = [
  // Of lessons it comes again with the lesson.
  ['schools'],
  every(key.lesson),
  every(key.golfer),
  every(key.golfers),
  every(key.eyes),
  every(key.change),
  every(key.findings),
  every(key.proposals),
  every(key.drills),
  every(key.judged),
  every(key.aim),
  every(key.golferLine),
  every(key.today),
  every(key.shown),
  every(key.wall)
]
