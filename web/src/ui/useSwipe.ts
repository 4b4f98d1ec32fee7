import { useRef } from 'react'

const FAR_PX = 90
const LEVEL_PX = 60

/** A wide stroke over the page, for hands that are wet or floury: to the left goes on, to the right back. */
export function useSwipe(on: () => void, back: () => void) {
  const from = useRef<{ x: number; y: number }>(undefined)
  return {
    onTouchStart: (e: React.TouchEvent) => {
      const t = e.touches[0]
      from.current = t && e.touches.length === 1 ? { x: t.clientX, y: t.clientY } : undefined
    },
    onTouchEnd: (e: React.TouchEvent) => {
      const begun = from.current
      const t = e.changedTouches[0]
      from.current = undefined
      if (!begun || !t || Math.abs(t.clientY - begun.y) > LEVEL_PX) return
      const far = t.clientX - begun.x
      if (Math.abs(far) < FAR_PX) return
      // A stroke is not a touch: what it ends on is not pressed as well.
      e.preventDefault()
      if (far < 0) on()
      else back()
    },
  }
}
