import { useEffect, useRef, useState, type ReactNode } from 'react'

/** So far before it comes into view it is drawn, pixels. */
const AHEAD = '300px'

/** Holds its place, and draws what is in it when it first comes near the view: seventy drawings at once keep a page busy. */
export function OnceSeen({ className, children }: { className: string; children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null)
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    if (seen || !place.current) return
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) setSeen(true)
      },
      { rootMargin: AHEAD },
    )
    watch.observe(place.current)
    return () => watch.disconnect()
  }, [seen])
  return (
    <div ref={place} className={className}>
      {seen && children}
    </div>
  )
}
