const falls = (percent: number, plus: string, minus: string) =>
  `${Math.abs(percent).toFixed(1)} % ${percent < 0 ? minus : plus}`

/** A level's tilt in words: how the floor falls along the line, and across it. */
export function tiltWords(tilt: Record<string, number>): string {
  return `${falls(tilt.along_percent ?? 0, 'down to the hole', 'up to the hole')} · ${falls(tilt.across_percent ?? 0, 'to the right', 'to the left')}`
}
