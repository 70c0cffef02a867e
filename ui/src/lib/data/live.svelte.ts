/** What happens in a lesson, heard at once: a WebSocket that comes back by itself. */

export interface LiveEvent {
  what: 'here' | 'putt' | 'block' | 'stroke' | 'still' | 'level' | 'sensor' | 'pause'
  /** Of "here": the mark of the newest data. */
  revision?: number
  block_id?: string
  /** The putt that was recorded; none where something of one was changed. */
  reading_id?: string
  sensor_id?: string
  stroke_id?: string
  /** What a device told; of a stroke, its zero taken off. */
  sent?: Record<string, number>
  at?: string
  /** A stroke that recorded its putt by itself. */
  putt?: boolean
}

const PAUSES_MS = [300, 1000, 2000, 5000]

/** Hear what happens in a lesson while the caller stands; "here" is heard whenever the line is new: ask again what is older. */
export function liveLesson(id: () => string, heard: (event: LiveEvent) => void): void {
  $effect(() => {
    const lesson = id()
    if (!lesson) return
    let socket: WebSocket | undefined
    let timer: ReturnType<typeof setTimeout> | undefined
    let failures = 0
    let left = false
    function open(): void {
      socket = new WebSocket(`${location.origin.replace('http', 'ws')}/api/live/lessons/${lesson}`)
      socket.onmessage = ({ data }) => {
        failures = 0
        heard(JSON.parse(String(data)) as LiveEvent)
      }
      socket.onclose = () => {
        if (left) return
        timer = setTimeout(open, PAUSES_MS[Math.min(failures, PAUSES_MS.length - 1)])
        failures += 1
      }
    }
    open()
    return () => {
      left = true
      clearTimeout(timer)
      socket?.close()
    }
  })
}
