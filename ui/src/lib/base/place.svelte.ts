/** Where the coach is: what the top line says. A page sets it while it stands. */
interface Step {
  words: string
  href?: string
}

/** Which section of the guide tells of an address. */
export function chapter(path: string): string {
  const [room = '', , step] = path.split('/').filter(Boolean)
  if (!room) return 'today'
  if (room === 'lessons') return step ?? 'set'
  if (room === 'golfers') return { files: 'files', practice: 'drills', schools: 'schools' }[step ?? ''] ?? 'golfer'
  if (['me', 'mine', 'welcome', 'trust', 'screen'].includes(room)) return 'people'
  return room === 'guide' || room === 'states' ? 'lesson' : room
}

class Place {
  trail = $state<Step[]>([])
  invented = $state(false)

  set(trail: Step[], invented: boolean): void {
    this.trail = trail
    this.invented = invented
  }
}

export const place = new Place()
