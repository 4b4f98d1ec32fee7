import { useSyncExternalStore } from 'react'

/** Waits that go on after their page is closed: kept in the browser, told about on whatever page is open. */
export interface Timer {
  /** What it belongs to; one timer each. */
  key: string
  says: string
  to: string
  /** Milliseconds of the true clock: a pot does not follow the demo's calendar. */
  endsAt: number
  /** Whether somebody has heard it. */
  heard?: boolean
}

const KEY = 'sallowbrook.timers'
const listeners = new Set<() => void>()
let cached: { text: string; timers: Timer[] } = { text: '', timers: [] }

function read(): Timer[] {
  const text = localStorage.getItem(KEY) ?? '[]'
  if (text !== cached.text) {
    try {
      cached = { text, timers: JSON.parse(text) as Timer[] }
    } catch {
      cached = { text, timers: [] }
    }
  }
  return cached.timers
}

function write(timers: Timer[]) {
  localStorage.setItem(KEY, JSON.stringify(timers))
  listeners.forEach((l) => l())
}

export const timers = {
  /** The same wait set again keeps its end. */
  set: (timer: Timer) => {
    if (!read().some((t) => t.key === timer.key)) write([...read(), timer])
  },
  clear: (key: string) => {
    if (read().some((t) => t.key === key)) write(read().filter((t) => t.key !== key))
  },
  endOf: (key: string) => read().find((t) => t.key === key)?.endsAt,
  heard: (key: string) => write(read().map((t) => (t.key === key ? { ...t, heard: true } : t))),
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  window.addEventListener('storage', listener)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}

export const useTimers = () => useSyncExternalStore(subscribe, read)

/** 12:05, or 1:02:30. */
export function clockTime(ms: number) {
  const s = Math.max(0, Math.ceil(ms / 1000))
  const two = (n: number) => String(n).padStart(2, '0')
  const h = Math.floor(s / 3600)
  return h > 0
    ? `${h}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}`
    : `${Math.floor(s / 60)}:${two(s % 60)}`
}

/** Three short tones; nothing where the browser does not let a page sound before it was touched. */
export function ring() {
  try {
    const audio = new AudioContext()
    for (const at of [0, 0.3, 0.6]) {
      const tone = audio.createOscillator()
      const loud = audio.createGain()
      tone.frequency.value = 880
      loud.gain.value = 0.2
      tone.connect(loud).connect(audio.destination)
      tone.start(audio.currentTime + at)
      tone.stop(audio.currentTime + at + 0.18)
    }
  } catch {
    // The notice is shown all the same.
  }
}
