import { useEffect, useRef, useState } from 'react'

/** Long enough that somebody who drags or types hears one sentence, not every step of it. */
const SETTLED_MS = 1500

/** Tells whoever listens instead of looking what a change led to, once it has come to rest. What was there first is not told. */
export function Announce({ text }: { text: string }) {
  const [said, setSaid] = useState('')
  const first = useRef<string>(undefined)
  useEffect(() => {
    if (text === '') return
    if (first.current === undefined) first.current = text
    if (text === first.current && said === '') return
    const timer = setTimeout(() => setSaid(text), SETTLED_MS)
    return () => clearTimeout(timer)
  }, [text, said])
  return (
    <p role="status" className="sr-only">
      {said}
    </p>
  )
}
